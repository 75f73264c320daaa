import type { Belief, BeliefEntry } from '../../materials/belief/belief'
import { daySpread } from '../../materials/belief/steadiness'
import type { CookPlan } from '../../record/plan/plan'
import { blendedPace, ROAST_SHARE } from './blendedPace'

/**
 * The first belief with the paces of a dish's wet stages and of its roasts moved towards its usual minutes; a
 * household's own readings come after. The weight that serves two independent guesses best leaves the rest of it as
 * variance: usual minutes of weight w leave 1 − w of how far the lasting pace may be off, and all of the day's scatter.
 *
 * @param first the belief of a household that has cooked nothing
 * @param common plan of the dish with its usual minutes, believed as of any kitchen: a fire that is known to be strong
 *   does not make the common kitchen's minutes wrong
 * @param weight of the usual minutes in wet stages, 0 to 1
 * @returns the belief
 */
export function blendedBelief(first: Belief, common: CookPlan, weight: number): Belief {
  return {
    entries: first.entries.map((entry): BeliefEntry => {
      if (entry.name !== 'wetPace' && entry.name !== 'roastPace') return entry
      const share = entry.name === 'wetPace' ? weight : ROAST_SHARE * weight
      const day = daySpread(entry.name)
      const lasting = (1 - share) * Math.max(0, entry.spread ** 2 - day ** 2)
      return {
        ...entry,
        median: blendedPace(common, entry.name, share),
        spread: Math.sqrt(lasting + day ** 2),
        basis: 'usual minutes of the dish, blended',
      }
    }),
  }
}
