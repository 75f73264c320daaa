import type { Dish, Flame } from '../../formulation/dish/dish'
import type { PlanFire } from './plan'

/** Power each kind of flame asks for, W into the pan (estimates from the usual ladder of a domestic burner). */
export const WANTED_W: Readonly<Record<Flame, number>> = { off: 0, low: 450, middle: 700, high: 1250 }

/**
 * The mark of each stage: the one whose power is nearest, by ratio, to what the stage's flame asks for.
 *
 * @param dish its stages say low, middle or high
 * @param fires by vessel id
 * @returns mark ids by stage id; stages with the flame off are left out
 */
export function guessFlames(dish: Dish, fires: Readonly<Record<string, PlanFire>>): Record<string, string> {
  const marks: Record<string, string> = {}
  for (const stage of dish.stages) {
    const fire = fires[stage.vessel]
    if (stage.flame === 'off' || !fire) continue
    const wanted = Math.log(WANTED_W[stage.flame])
    const nearest = fire.marks.reduce((best, mark) =>
      (Math.abs(Math.log(mark.watts) - wanted) < Math.abs(Math.log(best.watts) - wanted) ? mark : best))
    marks[stage.id] = nearest.id
  }
  return marks
}
