import type { Belief, BeliefEntry } from '../belief/belief'
import type { CookPlan } from '../live/plan'
import { blendedPace, ROAST_SHARE } from './blendedPace'

/**
 * A plan's belief with the paces of its wet stages and of its roasts moved towards the usual minutes of the dish, unless
 * its own batches have taught them already.
 *
 * @param plan the plan, with its belief
 * @param weight of the usual minutes in wet stages, 0 to 1
 * @param kitchen belief of the kitchen whose minutes they are: any kitchen's, where the household has none of its own. A
 *   fire that is known to be strong does not make the common kitchen's minutes wrong
 * @returns the belief
 */
export function blendedBelief(plan: CookPlan, weight: number, kitchen: Belief): Belief {
  const common = { ...plan, belief: kitchen }
  return {
    entries: plan.belief.entries.map((entry): BeliefEntry => {
      if ((entry.name !== 'wetPace' && entry.name !== 'roastPace') || entry.restsOn.length > 0) return entry
      const pace = blendedPace(common, entry.name, entry.name === 'wetPace' ? weight : ROAST_SHARE * weight)
      return { ...entry, median: pace, basis: 'usual minutes of the dish, blended' }
    }),
  }
}
