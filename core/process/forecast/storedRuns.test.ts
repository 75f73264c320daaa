import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { reweighed, storeRuns, forecastOfRuns } from './storedRuns'

const plan = examplePlan()
const before = [marked(0, 0, 'cook.started'), marked(1, 60, 'stage.began', { stage: 'roast' })]
const stood = storeRuns(plan, before, 250, 400)
const kept = { ...stood, forecast: forecastOfRuns(stood) }
const width = (window: { early: number, late: number }): number => window.late - window.early

describe('stored runs', () => {
  it('answer the same question with the same windows', () => {
    expect(kept.forecast).toMatchObject(JSON.parse(JSON.stringify(reweighed(kept, before, 250))) as object)
  })

  it('answer a tap near what new runs say, and narrower than without it', () => {
    const tapped = [...before, marked(2, 255, 'sign.seen', { sign: 'aroma' })]
    const soon = reweighed(kept, tapped, 255)!
    const anew = forecastOfRuns(storeRuns(plan, tapped, 255, 400))
    expect(Math.abs(Math.log(soon.stages[2]!.middle / anew.stages[2]!.middle))).toBeLessThan(0.15)
    expect(width(soon.stages[2]!)).toBeLessThan(width(kept.forecast.stages[2]!))
    expect(soon.restsOn.taps).toBe(1)
  })

  it('are run again, the likeliest of them, where the mark would make others of them', () => {
    for (const [kind, payload] of [
      ['flame.changed', { vessel: 'pan', mark: 'm1' }],
      ['stage.began', { stage: 'pour' }],
      ['weighed', { vessel: 'pan', grossG: 1900 }],
    ] as const) {
      const told = [...before, marked(2, 400, kind, payload)]
      const soon = reweighed(kept, told, 400)!
      const anew = forecastOfRuns(storeRuns(plan, told, 400, 400))
      for (const at of [2, 3, 4]) {
        const end = (one: { stages: readonly { middle: number }[] }): number => one.stages[at]!.middle
        expect(Math.abs(Math.log(end(soon) / end(anew))), `${kind}: stage ${at}`).toBeLessThan(0.25)
      }
    }
  })

  it('say nothing where hardly any of them would have gone on so early', () => {
    expect(reweighed(kept, [...before, marked(2, 255, 'stage.began', { stage: 'pour' })], 255)).toBeNull()
  })
})
