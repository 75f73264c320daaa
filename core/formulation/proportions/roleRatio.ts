import { basesPerBase, type Based } from '../dish/basesOf'
import type { DishIngredient } from '../dish/dish'
import type { Composition } from '../../materials/composition/composition'
import type { Role } from '../dish/spans'
import { roleOf } from './roleOf'

/** What one ingredient counts towards its role: its weight, or of a sweetened milk its sugar alone. */
function counted(one: DishIngredient, composition: Composition): number {
  return one.part === 'condensed' ? one.perBase * composition.sugar : one.perBase
}

/**
 * All of a dish's fat, sugar or liquid together, relative to its base, or its bases where it has more than one of a
 * kind.
 *
 * @param dish base and ingredients
 * @param role which of them
 * @param compositionOf shares by ingredient id
 * @returns g for each g of all its bases
 */
export function roleRatio(dish: Based, role: Role, compositionOf: (ingredient: string) => Composition): number {
  const all = dish.ingredients.reduce((sum, one) => {
    const composition = compositionOf(one.ingredient)
    return one.id !== dish.base && roleOf(composition, one.part) === role ? sum + counted(one, composition) : sum
  }, 0)
  return all / basesPerBase(dish)
}
