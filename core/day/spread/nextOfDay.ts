import { partsOfStep } from '../problem/parts'
import type { Spread } from './spread'

/** A step of a day that comes next: its dish, its id without the dish, and the minute of the day's clock. */
export interface NextStep {
  readonly dish: string
  readonly activity: string
  readonly at: number
  readonly going: boolean
}

/** A day is over so long after its last meal, minutes. */
const OVER_MIN = 60

/**
 * What comes next of a planned day: what goes on, else the first step that is not begun.
 *
 * @param spread the day
 * @param now minute of its clock
 * @returns null for a day without plan, one that is over, or one of which everything is done
 */
export function nextOfDay(spread: Pick<Spread, 'plan' | 'meals' | 'doings'>, now: number): NextStep | null {
  const last = Math.max(...spread.meals.map(meal => meal.at + (spread.plan?.late[meal.id] ?? 0)))
  if (!spread.plan || !(now <= last + OVER_MIN)) return null
  const going = spread.doings.find(one => one.begun !== null && one.ended === null)
  const begun = new Set(spread.doings.filter(one => one.begun !== null).map(one => one.step))
  const [step, at] = going && going.begun !== null
    ? ([going.step, going.begun] as const)
    : (Object.entries(spread.plan.starts)
        .filter(([one]) => !begun.has(one))
        .sort((a, b) => a[1] - b[1])[0] ?? ([null, 0] as const))
  if (step === null) return null
  const [dish, activity] = partsOfStep(step)
  return { dish, activity, at, going: going !== undefined }
}
