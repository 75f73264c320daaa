import type { Part } from '../dish/dish'
import type { Composition } from '../../materials/composition/composition'
import type { Role } from '../dish/spans'

/** An ingredient that is nearly all fat, sugar or water plays that part. */
const NEARLY_ALL = 0.8
const BY_PART: Readonly<Partial<Record<Part, Role>>> = {
  fat: 'fat',
  sugar: 'sugar',
  jaggery: 'sugar',
  condensed: 'sugar',
  water: 'liquid',
  milk: 'liquid',
  juice: 'liquid',
}

/**
 * The part an ingredient plays in a dish's character: what the dish says of it, or else what it is made of.
 *
 * @param composition shares of its weight
 * @param part what the dish says it does, if it says so
 * @returns `fat`, `sugar` or `liquid`; null for the base, nuts and spices
 * @example roleOf({ water: 1, solids: 0, fat: 0, sugar: 0, nuts: 0 }) // 'liquid'
 */
export function roleOf(composition: Composition, part?: Part): Role | null {
  if (part !== undefined) return BY_PART[part] ?? null
  if (composition.fat >= NEARLY_ALL) return 'fat'
  if (composition.sugar >= NEARLY_ALL) return 'sugar'
  return composition.water >= NEARLY_ALL ? 'liquid' : null
}
