import { STARTER_DISHES } from '../../book/dishes'
import type { Dish } from '../../core/formulation/dish/dish'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { FAMILY_IDS } from '../../core/formulation/family/family'
import type { Program } from '../../core/process/engine/program'
import { stepVessel } from '../../core/process/engine/stepVessel'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { OTHER_LAWS, type OtherLaw } from '../../devices/otherLaws'
import { drawOccasion } from './household'
import { judgeCook, type Verdict } from './judgeCook'
import { judgeFlame, type RoastEnd } from './judgeFlame'
import { withUsualMinutes } from './usualOf'

/** A share of the judging, small enough to be sent to a worker. */
export interface Slice {
  readonly world: 'own' | OtherLaw
  /** Cooks, or roasts for the flame plan. */
  readonly what: 'cooks' | 'flames'
  /** By number: the same number is the same occasion in every world. */
  readonly from: number
  readonly to: number
  readonly members: number
}

/** What a slice found. */
export interface SliceResult {
  readonly slice: Slice
  readonly verdicts: readonly Verdict[]
  readonly flames: readonly { readonly met: boolean, readonly planned: RoastEnd, readonly fixed: RoastEnd }[]
}

/** Every so many cooks the finished weight is judged as well. */
const WEIGHS_EVERY = 6
const known = new Map<string, Dish>()

/**
 * The starter dish of a number: families in turn, and the dishes of each in turn, with the usual minutes of its world.
 */
function dishOf(i: number, world: Slice['world'], step: Program['step']): Dish {
  const family = FAMILY_IDS[i % FAMILY_IDS.length]!
  const cards = STARTER_DISHES.filter(card => card.family === family)
  const card = cards[Math.floor(i / FAMILY_IDS.length) % cards.length]!
  const key = `${world} ${card.id}`
  const found = known.get(key) ?? withUsualMinutes(stageDish(card), step, 77)
  known.set(key, found)
  return found
}

/**
 * Judges a slice.
 *
 * @param slice world and numbers
 * @returns verdicts in order; cooks that their flame never gets done are left out
 */
export function judgeSlice(slice: Slice): SliceResult {
  const step = slice.world === 'own' ? stepVessel : OTHER_LAWS[slice.world]
  const numbers = Array.from({ length: slice.to - slice.from }, (_, i) => slice.from + i)
  if (slice.what === 'flames') {
    return { slice, verdicts: [], flames: numbers.flatMap((i) => {
      const found = judgeFlame(dishOf(i, slice.world, step), slice.members, 900 + i, seededRandom(50_000 + i))
      return found ? [found] : []
    }) }
  }
  return { slice, flames: [], verdicts: numbers.flatMap((i) => {
    const uniform = seededRandom(10_000 + i)
    const weighs = slice.world === 'own' && i % WEIGHS_EVERY === 0
    const verdict = judgeCook(
      drawOccasion(dishOf(i, slice.world, step), uniform),
      step,
      slice.members,
      500 + i,
      weighs,
      uniform,
    )
    return verdict ? [verdict] : []
  }) }
}
