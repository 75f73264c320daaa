import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import type { Forecast } from '../../record/plan/forecast'
import { storeRuns, forecastOfRuns } from './storedRuns'

/**
 * Forecasts a cook from its plan and what has been marked so far.
 *
 * @param plan the plan
 * @param observations everything marked, in any order
 * @param nowS how far the cook is, s since its start; zero before it
 * @param members size of the ensemble, 20 to 100 000
 * @returns the forecast; windows are the 10th and 90th percentile
 * @throws CoreError where plan and observations name something that is not there
 */
export function forecastCook(
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  members: number,
): Forecast {
  return forecastOfRuns(storeRuns(plan, observations, nowS, members))
}
