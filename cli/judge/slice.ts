import { STARTER_DISHES } from '../../book/dishes'
import type { Dish } from '../../core/dish/dish'
import { stageDish } from '../../core/dish/stageDish'
import { FAMILY_IDS } from '../../core/family/family'
import { stepVessel } from '../../core/forecast/stepVessel'
import { seededRandom } from '../../core/random/seededRandom'
import { OTHER_LAWS, type OtherLaw } from '../../devices/otherLaws'
import { drawOccasion } from './household'
import { judgeCook, type Verdict } from './judgeCook'
import { withUsualMinutes } from './usualOf'

/** A share of the judging, small enough to be sent to a worker. */
export interface Slice {
  readonly world: 'own' | OtherLaw
  /** Cooks by number: the same number is the same cook in every world. */
  readonly from: number
  readonly to: number
  readonly members: number
}

/** Every so many cooks the finished weight is judged as well. */
const WEIGHS_EVERY = 10

/**
 * Judges a slice.
 *
 * @param slice world and cooks
 * @returns verdicts in order; cooks that this flame never gets done are left out
 */
export function judgeSlice(slice: Slice): Verdict[] {
  const step = slice.world === 'own' ? stepVessel : OTHER_LAWS[slice.world]
  const known = new Map<string, Dish>()
  const dishOf = (i: number): Dish => {
    const family = FAMILY_IDS[i % FAMILY_IDS.length]!
    const cards = STARTER_DISHES.filter(card => card.family === family)
    const card = cards[Math.floor(i / FAMILY_IDS.length) % cards.length]!
    const found = known.get(card.id) ?? withUsualMinutes(stageDish(card), step, 77)
    known.set(card.id, found)
    return found
  }
  const verdicts: Verdict[] = []
  for (let i = slice.from; i < slice.to; i++) {
    if ((slice as any).only && FAMILY_IDS[i % FAMILY_IDS.length] !== (slice as any).only) continue
    const uniform = seededRandom(10_000 + i)
    const verdict = judgeCook(drawOccasion(dishOf(i), uniform), step, slice.members, 500 + i, slice.world === 'own' && i % WEIGHS_EVERY === 0, uniform)
    if (verdict) verdicts.push(verdict)
  }
  return verdicts
}
