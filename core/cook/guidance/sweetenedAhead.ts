import type { Forecast } from '../../record/plan/forecast'

/** How a mass is expected to thin and tighten again after its sugar went in. */
export interface Thinning {
  /** When it runs most, s since the start, and how stiff it is then beside before: 0 runs like water, 1 stands. */
  readonly thinnestS: number
  readonly stiffnessBefore: number
  readonly stiffnessThen: number
  /** When it is tight again, s since the start: 10 and 90 in 100. */
  readonly tight: { readonly early: number, readonly late: number }
}

/**
 * The thinning that sugar brings in a stage, by the middle run.
 *
 * @param forecast the forecast at hand
 * @param stage index of the stage into which the sugar goes
 * @returns when it runs most and when it is tight again; null where the forecast does not show it
 */
export function sweetenedAhead(forecast: Forecast, stage: number): Thinning | null {
  const during = forecast.points.filter(one => one.stage === stage && one.stiffness !== undefined)
  const before = forecast.points.filter(one => one.stage === stage - 1).at(-1)?.stiffness
  const tight = forecast.stages[stage + 1]
  if (during.length === 0 || before === undefined || !tight) return null
  const thinnest = during.reduce((least, one) => ((one.stiffness ?? 1) < (least.stiffness ?? 1) ? one : least))
  return {
    thinnestS: thinnest.timeS,
    stiffnessBefore: before,
    stiffnessThen: thinnest.stiffness ?? 0,
    tight: { early: tight.early, late: tight.late },
  }
}
