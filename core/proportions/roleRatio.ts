import type { DishIngredient } from '../dish/dish'
import type { Composition } from '../live/plan'
import type { Role } from './spans'
import { roleOf } from './roleOf'

/** What one ingredient counts towards its role: its weight, or of a sweetened milk its sugar alone. */
function counted(one: DishIngredient, composition: Composition): number {
  return one.part === 'condensed' ? one.perBase * composition.sugar : one.perBase
}

/**
 * All of a dish's fat, sugar or liquid together, relative to its base.
 *
 * @param dish base and ingredients
 * @param role which of them
 * @param compositionOf shares by ingredient id
 * @returns g for each g of base
 */
export function roleRatio(dish: { readonly base: string, readonly ingredients: readonly DishIngredient[] }, role: Role, compositionOf: (ingredient: string) => Composition): number {
  return dish.ingredients.reduce((sum, one) => {
    const composition = compositionOf(one.ingredient)
    return one.id !== dish.base && roleOf(composition, one.part) === role ? sum + counted(one, composition) : sum
  }, 0)
}
