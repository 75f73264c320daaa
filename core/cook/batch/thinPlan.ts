import { forecastCook } from '../../process/forecast/forecastCook'
import type { CookPlan } from '../../record/plan/plan'

/**
 * A plan as it is kept: the drawn points and bands of its forecast, nine tenths of its size, are left out, for plan,
 * belief and seed make them again.
 *
 * @param plan any plan
 * @returns the plan without them; the same object where there are none
 */
export function thinPlan(plan: CookPlan): CookPlan {
  const { forecast } = plan
  if (!forecast || (forecast.points.length === 0 && forecast.bands === undefined)) return plan
  const { bands: _, ...rest } = forecast
  return { ...plan, forecast: { ...rest, points: [] } }
}

/**
 * A plan with the points that `thinPlan` left out, run again from its belief and seed. Windows and weights stay those
 * that were shown then; a model of another version draws its own points.
 *
 * @param plan as it was kept
 * @returns the plan with points
 */
export function drawnPlan(plan: CookPlan): CookPlan {
  const { forecast } = plan
  if (!forecast || forecast.points.length > 0) return plan
  const again = forecastCook(
    { ...plan, forecast: null },
    [],
    forecast.nowS,
    Math.min(MOST_MEMBERS, Math.max(LEAST_MEMBERS, forecast.members)),
  )
  return { ...plan, forecast: { ...forecast, points: again.points } }
}

/** Members of an ensemble that draws points again: as many as drew them first, within what is quick. */
const LEAST_MEMBERS = 20
const MOST_MEMBERS = 500
