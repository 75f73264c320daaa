import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { marked, starterPlan } from '../../../test/support/plans'
import { doneIndex } from '../../formulation/dish/doneIndex'
import type { ForecastBand } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import { forecastCook } from './forecastCook'

const plan = starterPlan('sweet-water-semolina')
const windowsOf = (band: ForecastBand): Window[] => [
  band.tempC,
  band.contentG,
  band.volumeMl,
  band.freeG,
  band.boundG,
  band.fatOutG,
  band.stiffness,
  band.aroma,
]
const total = plan.amounts.reduce((sum, one) => sum + one.massG, 0)

describe('the pan along the cook', () => {
  it('is told in windows from the start to the late end of the dish, for every starter dish', () => {
    for (const { id } of STARTER_DISHES) {
      const found = forecastCook(starterPlan(id), [], 0, 60)
      const bands = found.bands!
      expect(bands[0]!.timeS, id).toBe(0)
      expect(bands.at(-1)!.timeS, id).toBeCloseTo(found.stages[doneIndex(starterPlan(id).dish)]!.late, 6)
      for (const band of bands) {
        for (const window of windowsOf(band)) {
          expect(Number.isFinite(window.middle), id).toBe(true)
          expect(window.early, id).toBeLessThanOrEqual(window.middle + 1e-9)
          expect(window.middle, id).toBeLessThanOrEqual(window.late + 1e-9)
        }
        expect(band.colour.dark.lightness, id).toBeLessThanOrEqual(band.colour.light.lightness)
        expect(band.stiffness.early).toBeGreaterThanOrEqual(0)
        expect(band.stiffness.late).toBeLessThanOrEqual(1)
      }
    }
  })

  it('holds no more than what goes in, and its water is free or held', () => {
    for (const band of forecastCook(plan, [], 0, 80).bands!) {
      expect(band.contentG.late).toBeLessThanOrEqual(total + 1)
      expect(band.freeG.early).toBeGreaterThan(-1)
      expect(band.freeG.middle + band.boundG.middle).toBeLessThan(band.contentG.late + 1)
    }
  })

  it('ends near the finished weight', () => {
    const found = forecastCook(plan, [], 0, 300)
    const end = found.bands!.at(-1)!.contentG
    expect(Math.abs(end.middle - found.finishedG.middle)).toBeLessThan(0.03 * found.finishedG.middle)
  })

  it('narrows with a weighing, and has a moment of now', () => {
    const roasted = [
      marked(1, 0, 'cook.started'),
      marked(2, 250, 'stage.began', { stage: 'roast' }),
      marked(3, 700, 'stage.began', { stage: 'pour' }),
      marked(4, 760, 'stage.began', { stage: 'take-up' }),
    ]
    const before = forecastCook(plan, roasted, 1150, 200)
    const tare = plan.vessels.pan!.vessel.massG
    const after = forecastCook(
      { ...plan, vessels: { ...plan.vessels, pan: { ...plan.vessels.pan!, massGuessed: false } } },
      [...roasted, marked(5, 1145, 'weighed', { vessel: 'pan', grossG: tare + before.panNow!.contentG.middle })],
      1150,
      200,
    )
    const widthNow = ({ bands, nowS }: typeof before): number => {
      const { contentG } = bands!.find(band => band.timeS === nowS)!
      return contentG.late - contentG.early
    }
    // Two normal numbers of one mass make one with the sum of their sharpness; eight in ten lie within 2.563 deviations.
    const scaleG = Math.hypot(3, 0.005 * (tare + before.panNow!.contentG.middle))
    const knownG = widthNow(before) / 2.563
    expect(widthNow(after)).toBeCloseTo(2.563 / Math.hypot(1 / scaleG, 1 / knownG), -1)
  })

  it('is left out of an outline, and is the same for the same seed', () => {
    expect(forecastCook(plan, [], 0, 12).bands).toBeUndefined()
    expect(forecastCook(plan, [], 0, 40).bands).toEqual(forecastCook(plan, [], 0, 40).bands)
  })
})
