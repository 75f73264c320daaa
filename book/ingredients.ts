import type { Ingredient } from '../core/materials/composition/ingredient'
import { BASES } from './ingredients/bases'
import { KITCHEN_FOODS } from './ingredients/kitchen'
import { NUT_FOODS } from './ingredients/nuts'
import { PRODUCE } from './ingredients/produce'

/** Every ingredient the house knows: one table, one place. */
export const INGREDIENTS: readonly Ingredient[] = [...BASES, ...PRODUCE, ...NUT_FOODS, ...KITCHEN_FOODS]
