import type { Belief, BeliefEntry } from '../belief/belief'
import type { CookPlan } from '../live/plan'
import { blendedPace } from './blendedPace'

/**
 * A plan's belief with the pace of its wet stages moved towards the usual minutes of the dish, unless its own batches
 * have taught that pace already.
 *
 * @param plan the plan, with its belief
 * @param weight of the usual minutes, 0 to 1
 * @returns the belief
 */
export function blendedBelief(plan: CookPlan, weight: number): Belief {
  const entry = plan.belief.entries.find(one => one.name === 'wetPace')
  if (!entry || entry.restsOn.length > 0) return plan.belief
  const pace = blendedPace(plan, weight)
  const blended: BeliefEntry = { ...entry, median: pace, basis: 'usual minutes of the dish, blended' }
  return { entries: plan.belief.entries.map(one => (one === entry ? blended : one)) }
}
