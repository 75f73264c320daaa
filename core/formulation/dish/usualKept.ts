import { familyOf } from '../family/families'
import type { Choices } from './choices'
import type { Dish } from './dish'

/** Share of the water in the pan that usually stays, and its standard deviation, by what the family is (estimates). */
const KEPT = {
  grain: { share: 0.9, spread: 0.05 },
  fresh: { share: 0.35, spread: 0.06 },
  dry: { share: 0.98, spread: 0.02 },
} as const

/**
 * How much of its water a dish keeps before anybody has cooked it: a grain nearly all of what is poured, fresh produce
 * a third, what is never wetted all of it.
 *
 * @param family id of the family
 * @param choices whether it is wetted at all
 * @returns share of the water that stays, 0 to 1, and its standard deviation
 * @throws CoreError `unknown-name` for no such family
 */
export function usualKept(family: string, choices: Pick<Choices, 'liquid'>): Dish['kept'] {
  if (familyOf(family).fresh) return KEPT.fresh
  return choices.liquid === 'none' ? KEPT.dry : KEPT.grain
}
