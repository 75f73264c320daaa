import type { Ingredient } from '../../materials/composition/ingredient'
import type { DishIngredient } from '../dish/dish'
import type { Preparation } from '../dish/choices'

/** Water a lentil takes up when it is cooked soft for a purée, g for each g dry beyond soaking (estimate). */
const COOKED_GAIN = 0.5

/**
 * Water one ingredient brings with it, for each gram of base: its own, and what soaking put into the base.
 *
 * @param one the ingredient in its dish
 * @param row its row of the table
 * @param soaked how the base is prepared, for the base alone
 * @returns g of water for each g of base
 */
export function waterOf(
  one: DishIngredient,
  row: Pick<Ingredient, 'nutrients' | 'yields'>,
  soaked?: Preparation,
): number {
  const own = (one.perBase * row.nutrients.water) / 100
  return own + one.perBase * soakWater(row, soaked)
}

/**
 * Water that soaking and cooking put into a base, g for each g dry.
 *
 * @param row its row of the table
 * @param soaked how it is prepared
 * @returns g for each g; 0 where it is not soaked
 */
export function soakWater(row: Pick<Ingredient, 'yields'>, soaked?: Preparation): number {
  if (soaked === 'raw-paste' || soaked === 'fine-paste') return row.yields.soakGain * row.yields.ground
  if (soaked === 'cooked-puree') return row.yields.soakGain + COOKED_GAIN
  return 0
}
