import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { forecastCook } from '../../process/forecast/forecastCook'
import { labToHex } from '../../materials/colour/labToHex'
import { replay } from '../../record/replay/replay'
import { momentsOf } from './momentsOf'
import { stoneMinutes, stonesOf } from './stones'
import { settleCook } from './settleCook'

const plan = { ...examplePlan(), forecast: forecastCook(examplePlan(), [], 0, 100) }

describe('the stones of an arch', () => {
  it('cover the cook without gaps, with the keystone as a joint', () => {
    const stones = stonesOf(plan.forecast, 700, 1310)
    expect(stones[0]!.fromS).toBe(0)
    expect(stones.at(-1)!.toS).toBe(1310)
    for (let i = 1; i < stones.length; i++) expect(stones[i]!.fromS).toBe(stones[i - 1]!.toS)
    expect(stones.some(stone => stone.toS === 700)).toBe(true)
  })

  it('are whole minutes away from the feet, and never more than fourteen a side', () => {
    for (const [keystoneS, endS] of [[300, 500], [1000, 2600], [4000, 16000]] as const) {
      const pace = stoneMinutes(keystoneS, endS - keystoneS) * 60
      const stones = stonesOf(plan.forecast, keystoneS, endS)
      expect(stones.slice(1, -1).every(stone => Math.abs(stone.toS - stone.fromS - pace) < 1e-9)).toBe(true)
      expect(stones.filter(stone => stone.toS <= keystoneS).length).toBeLessThanOrEqual(15)
    }
  })

  it('have the colour of their middle, and none of before the turn once it is past', () => {
    // A roast that darkens by a unit of lightness every 20 s, and is lifted by 30 as it is wetted at 300 s.
    const points = Array.from({ length: 53 }, (_, i) => ({
      ...plan.forecast.points[0]!,
      timeS: 10 * i,
      colour: { lightness: 80 - i / 2 + (10 * i > 300 ? 30 : 0), a: 5, b: 20 },
    }))
    const hex = (lightness: number): string => labToHex({ lightness, a: 5, b: 20 })
    const stones = stonesOf({ ...plan.forecast, points }, 300, 500)
    expect(stones.map(stone => [stone.fromS, stone.toS, stone.colour])).toEqual([
      ...[0, 60, 120, 180, 240].map(from => [from, from + 60, hex(80 - (from + 30) / 20)]),
      ...[300, 360, 420].map(from => [from, from + 60, hex(110 - (from + 30) / 20)]),
      [480, 500, hex(110 - 490 / 20)],
    ])
  })
})

describe('the summary of a batch', () => {
  const story = [
    marked(1, 0, 'cook.started'),
    marked(2, 330, 'stage.began', { stage: 'roast' }),
    marked(3, 560, 'sign.seen', { sign: 'aroma' }),
    marked(4, 720, 'stage.began', { stage: 'pour' }),
    marked(5, 780, 'stage.began', { stage: 'take-up' }),
    marked(6, 930, 'stage.began', { stage: 'enrich' }),
    marked(7, 1200, 'stage.began', { stage: 'rest' }),
    marked(8, 1210, 'weighed', { vessel: 'pan', grossG: 1490 + 1688 }),
    marked(9, 1500, 'cook.finished'),
    marked(10, 1520, 'outcome', { faults: ['gluey'], line: 'roast longer' }),
  ]

  it('keeps what happened beside what was planned', () => {
    const summary = settleCook(plan, story).summary
    expect(summary).toMatchObject({
      keystoneS: 720,
      endS: 1200,
      weighed: true,
      finishedG: 1688,
      faults: ['gluey'],
      line: 'roast longer',
    })
    expect(summary.plannedKeystoneS).toBeCloseTo(plan.forecast.stages[2]!.middle)
    expect(summary.stones.at(-1)!.toS).toBe(1200)
    expect(summary.moments.map(moment => moment.kind)).toContain('stage.began')
  })

  it('tells the colour the forecast gives it as the liquid goes in, but none that was only remembered', () => {
    const looked = [...story.slice(0, 3), marked(3.5, 715, 'looks.like', { step: 'pale' }), ...story.slice(3)]
    expect(settleCook(plan, looked).summary.darkestStep).toBe('pale')
    const remembered = (of: typeof story) => of.map(one => (one.kind === 'cook.started' ? { ...one, payload: { from: 'memory' } } : one))
    expect(settleCook(plan, remembered(story.filter(one => one.kind !== 'sign.seen'))).summary.darkestStep).toBeNull()
    expect(settleCook(plan, remembered(looked)).summary.darkestStep).toBe('pale')
  })

  it('says that a weight is a forecast where nothing was weighed', () => {
    const summary = settleCook(plan, story.filter(one => one.kind !== 'weighed')).summary
    expect(summary.weighed).toBe(false)
    expect(summary.finishedG).toBeGreaterThan(1400)
  })

  it('can be made of a cook that was broken off', () => {
    const summary = settleCook(plan, [story[0]!, story[1]!, marked(3, 500, 'cook.finished')]).summary
    expect(summary.keystoneS).toBeNull()
    expect(summary.stones.length).toBeGreaterThan(0)
  })
})

describe('the moments of a batch', () => {
  it('can be written whatever their payloads carry', () => {
    const kinds = fc.constantFrom('stage.began', 'sign.seen', 'looks.like', 'vessel.lit', 'weighed', 'note')
    const value = fc.oneof(fc.jsonValue(), fc.constant({ toString: '' }))
    const payloads = fc.dictionary(fc.constantFrom('stage', 'sign', 'step', 'mark', 'grossG', 'vessel', 'text'), value)
    fc.assert(fc.property(fc.array(fc.tuple(kinds, payloads), { maxLength: 8 }), (list) => {
      const cook = replay(plan, [
        marked(1, 0, 'cook.started'),
        ...list.map(([kind, payload], i) => marked(i + 2, i * 10, kind, payload)),
      ])
      for (const moment of momentsOf(plan, cook)) expect(typeof moment.what).toBe('string')
    }), { numRuns: 200, examples: [[[['note', { stage: { toString: '' }, text: 'all well' }]]]] })
    const [note] = momentsOf(
      plan,
      replay(plan, [
        marked(1, 0, 'cook.started'),
        marked(2, 10, 'note', { stage: { toString: '' }, text: 'all well' }),
      ]),
    ).filter(one => one.kind === 'note')
    expect(note?.what).toBe('all well')
  })
})
