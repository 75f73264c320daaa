import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../test/support/plans'
import { reweighed, stand, standingForecast } from './standing'

const plan = examplePlan()
const before = [marked(0, 0, 'cook.started'), marked(1, 60, 'stage.began', { stage: 'roast' })]
const kept = stand(plan, before, 250, 400)
const width = (window: { early: number, late: number }): number => window.late - window.early

describe('stored runs', () => {
  it('answer the same question with the same forecast', () => {
    expect(reweighed(kept, before, 250)).toEqual(standingForecast(kept))
  })

  it('answer a tap near what new runs say, and narrower than without it', () => {
    const tapped = [...before, marked(2, 255, 'sign.seen', { sign: 'aroma' })]
    const quick = reweighed(kept, tapped, 255)!
    const anew = standingForecast(stand(plan, tapped, 255, 400))
    expect(Math.abs(Math.log(quick.stages[2]!.middle / anew.stages[2]!.middle))).toBeLessThan(0.15)
    expect(width(quick.stages[2]!)).toBeLessThan(width(standingForecast(kept).stages[2]!))
    expect(quick.restsOn.taps).toBe(1)
  })

  it('say nothing where the runs themselves would be others', () => {
    for (const [kind, payload] of [['flame.changed', { vessel: 'pan', mark: 'm1' }], ['stage.began', { stage: 'pour' }], ['weighed', { vessel: 'pan', grossG: 1900 }]] as const) {
      expect(reweighed(kept, [...before, marked(2, 255, kind, payload)], 255), kind).toBeNull()
    }
  })

  it('say nothing where hardly any of them is near what was seen', () => {
    expect(reweighed(kept, [...before, marked(2, 61, 'looks.like', { step: 'burnt' }), marked(3, 62, 'sign.seen', { sign: 'aroma' })], 62)?.effective ?? 12).toBeGreaterThanOrEqual(12)
  })
})
