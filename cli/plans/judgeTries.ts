import { seededRandom } from '../../core/maths/random/seededRandom'
import type { Day, Starts } from '../../core/day/problem/day'
import { planCost } from '../../core/day/problem/planCost'
import { planDay } from '../../core/day/planning/planDay'
import { simulateDay, type DayTries } from '../../core/day/planning/simulateDay'

/** How a padded plan of a day stands many tries, and how a bare one does; shares of 0 to 1. */
export interface JudgedTries {
  readonly tries: number
  readonly lateMeals: number
  readonly coldPours: number
  readonly waitedBases: number
  /** Mean minutes present when the padded plan is carried out, over those of the bare plan as written. */
  readonly longer: number
  /** Tries of the bare plan in which a meal is late. */
  readonly bareLateTries: number
  readonly padded: Starts
}

/** Seconds a padded plan is sought: too few for more room than usual. */
const PADDED_S = 1.9

/**
 * Plans a day as the application does, with room, and says how that stands its tries.
 *
 * @param day as it is
 * @param bare its best plan without room
 * @returns null where the day with room moves a meal
 */
export function judgeTries(day: Day, bare: Starts): JudgedTries | null {
  let tried: DayTries | null = null
  for (const told of planDay(day, PADDED_S, () => performance.now() / 1000)) {
    if (told?.type === 'tries') tried = told.tries
    if (told?.type !== 'plan' || !told.done) continue
    if (!tried || !told.plan || Object.values(told.plan.late).some(late => late > 0)) return null
    const span = Object.values(planCost(day, bare).spans).reduce((sum, one) => sum + one, 0)
    return {
      tries: tried.tries,
      lateMeals: tried.lateMeals / tried.meals,
      coldPours: tried.coldPours / Math.max(1, tried.pours),
      waitedBases: tried.waitedBases / Math.max(1, tried.pours),
      longer: tried.spanMin / span,
      bareLateTries: simulateDay(day, bare, day, tried.tries, seededRandom(1)).lateTries / tried.tries,
      padded: told.plan.starts,
    }
  }
  return null
}
