import { INGREDIENTS } from '../../book/ingredients'
import { houseTable, type KnownFoods } from '../../core/materials/composition/corrections'
import type { DishCard } from '../../core/formulation/dish/dish'
import { FAMILY_WORDS } from '../../words/choices'
import { dishFinder } from './findDishes'

/**
 * The finder over the household's dishes with the house's own ingredient table.
 *
 * @param dishes to be found
 * @param kitchen says which ingredients are the household's own; null where it is not known yet
 * @returns a search that gives dish ids, best first
 */
export function findInBook(dishes: readonly DishCard[], kitchen: KnownFoods | null): (text: string) => string[] {
  const table = houseTable(INGREDIENTS, kitchen)
  return dishFinder(dishes, id => table.find(row => row.id === id), FAMILY_WORDS)
}
