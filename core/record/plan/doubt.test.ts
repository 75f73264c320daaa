import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { storeRuns } from '../../process/forecast/storedRuns'
import type { Observation } from '../marks/observation'
import { doubts } from '../../process/doubt/doubts'

const plan = examplePlan()
/** The same in a kitchen that knows its fire: after a boil check. */
const checked = {
  ...plan,
  belief: {
    entries: plan.belief.entries.map(one =>
      one.name === 'mainFire' || one.name === 'mainLadder' ? { ...one, spread: 0.08 } : one,
    ),
  },
}
const begun = [marked(1, 0, 'cook.started'), marked(2, 240, 'stage.began', { stage: 'roast' })]
const at = (marks: readonly Observation[], nowS: number, of = plan) => doubts(storeRuns(of, marks, nowS, 200))

describe('the one question of a cook that was left alone', () => {
  it('is not asked while the forecast still holds', () => {
    expect(at(begun, 500).asks).toBeNull()
  })

  it('names the stage that must have begun, and about when', () => {
    const { asks } = at([marked(1, 0, 'cook.started')], 3000)
    expect(asks).toMatchObject({ stage: 'roast', sign: 'nuts-golden' })
    expect(asks!.atS).toBeGreaterThan(60)
    expect(asks!.atS).toBeLessThan(900)
    expect(at([...begun, marked(3, 700, 'sign.seen', { sign: 'aroma' })], 5000).asks).toMatchObject({ stage: 'pour' })
  })

  it('takes the moment of a sign that was seen', () => {
    const seen = [marked(1, 0, 'cook.started'), marked(2, 200, 'sign.seen', { sign: 'nuts-golden' })]
    expect(at(seen, 2500).asks).toMatchObject({ stage: 'roast', atS: 200 })
  })

  it('waits after a mark, and after the answer was no', () => {
    const started = marked(1, 0, 'cook.started')
    expect(at([started, marked(2, 2950, 'note', { text: 'back' })], 3000).asks).toBeNull()
    expect(at([started, marked(2, 2000, 'not.yet', { sign: 'nuts-golden' })], 2300).asks).toBeNull()
    expect(at([started, marked(2, 2000, 'not.yet', { sign: 'nuts-golden' })], 4000).asks).not.toBeNull()
  })

  it('asks for the end of what only waits for minutes', () => {
    const stages = ['roast', 'pour', 'take-up', 'enrich', 'rest'].map((stage, i) =>
      marked(i + 2, 240 + 200 * i, 'stage.began', { stage }),
    )
    const cook = [marked(1, 0, 'cook.started'), ...stages]
    expect(at(cook, 1100).asks).toBeNull()
    expect(at(cook, 1040 + 3600).asks).toEqual({ stage: null, atS: 1040 + 300, sign: null })
    expect(at([...cook, marked(9, 3000, 'cook.finished')], 9000).asks).toBeNull()
  })
})

describe('a mark that can hardly be true', () => {
  const roast = (timeS: number, flame?: string): Observation[] => [
    ...begun,
    ...(flame ? [marked(3, 241, 'flame.changed', { vessel: 'pan', mark: flame })] : []),
    marked(4, timeS, 'sign.seen', { sign: 'aroma' }),
  ]

  it('is not one that the forecast expects', () => {
    expect(at(roast(640), 645).surprise).toBeNull()
  })

  it('is faster than a flame that is known can, and the big fire explains it', () => {
    expect(at(roast(240 + 75, 'm2'), 320).surprise).toBeNull()
    const { surprise } = at(roast(240 + 75, 'm2'), 320, checked)
    expect(surprise).toMatchObject({ faster: true, sign: 'aroma', thought: 'm2' })
    expect(surprise!.times).toBeGreaterThan(2)
    expect(['m4', 'm5', 'm6']).toContain(surprise!.flame)
  })

  it('is beyond any flame', () => {
    expect(at(roast(246, 'm2'), 250).surprise).toMatchObject({ faster: true, flame: null })
  })

  it('is slower than the flame can be', () => {
    const { surprise } = at(roast(240 + 4500, 'm5'), 4750)
    expect(surprise).toMatchObject({ faster: false })
  })

  it('is not said again once it was looked into', () => {
    expect(at([...roast(246, 'm2'), marked(9, 248, 'checked', { what: 'flame' })], 255).surprise).toBeNull()
  })
})
