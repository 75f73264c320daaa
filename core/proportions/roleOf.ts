import type { Composition } from '../live/plan'
import type { Role } from './spans'

/** An ingredient that is nearly all fat, sugar or water plays that part. */
const NEARLY_ALL = 0.8

/**
 * The part an ingredient plays in a dish's character, from what it is made of.
 *
 * @param composition shares of its weight
 * @returns `fat`, `sugar` or `liquid`; null for the base, nuts and spices
 * @example roleOf({ water: 1, solids: 0, fat: 0, sugar: 0, nuts: 0 }) // 'liquid'
 */
export function roleOf(composition: Composition): Role | null {
  if (composition.fat >= NEARLY_ALL) return 'fat'
  if (composition.sugar >= NEARLY_ALL) return 'sugar'
  return composition.water >= NEARLY_ALL ? 'liquid' : null
}
