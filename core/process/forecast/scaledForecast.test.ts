import { describe, expect, it } from 'vitest'
import { examplePlan, starter } from '../../../test/support/plans'
import { forecastCook } from './forecastCook'
import { scaledForecast } from './scaledForecast'

const FEW = 1
const at = (baseG: number) => examplePlan({ baseG })
const known = { fine: forecastCook(at(250), [], 0, 300), outline: forecastCook(at(250), [], 0, FEW) }

describe('a forecast moved by one member', () => {
  it('is the fine one where nothing has changed', () => {
    const same = scaledForecast(known, known.outline)
    expect(same.stages).toEqual(known.fine.stages)
    expect(same.finishedG).toEqual(known.fine.finishedG)
  })

  it.each([[180], [230], [275], [340]])('is nearer to the truth for %d g than the one member alone', (baseG) => {
    const truth = forecastCook(at(baseG), [], 0, 300)
    const few = forecastCook(at(baseG), [], 0, FEW)
    const moved = scaledForecast(known, few)
    const off = (one: typeof truth): number =>
      one.stages
        .slice(1, 6)
        .reduce(
          (sum, window, k) =>
            sum
            + Math.abs(Math.log(window.early / truth.stages[k + 1]!.early))
            + Math.abs(Math.log(window.late / truth.stages[k + 1]!.late)),
          0,
        )
    expect(off(moved)).toBeLessThan(off(few))
    expect(off(moved) / 10).toBeLessThan(0.1)
  })

  it('is the outline itself where the stages differ', () => {
    const other = examplePlan({ dish: starter('mill-lane-jaggery-semolina') })
    const outline = forecastCook(other, [], 0, FEW)
    expect(scaledForecast(known, outline)).toBe(outline)
  })
})
