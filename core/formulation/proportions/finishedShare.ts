import type { Ingredient } from '../../materials/composition/ingredient'
import type { Preparation } from '../dish/choices'
import { preparationOf } from '../dish/basesOf'
import type { DishIngredient } from '../dish/dish'
import { familyOf } from '../family/families'
import { waterOf } from './waterOf'

/** Share of a dry base's own moisture that leaves in the roast (estimate). */
const ROASTED_OUT = 0.9

/** A dish as its yield needs it. */
export interface YieldingDish {
  readonly family: string
  readonly base: string
  readonly ingredients: readonly DishIngredient[]
  readonly kept: { readonly share: number, readonly spread: number }
  readonly choices?: { readonly preparation: Preparation } | undefined
}

/**
 * Finished weight for each gram of base: everything that goes in, less the liquid that does not stay and, of a dry
 * base, nine tenths of its own moisture. A quick figure for scaling; the forecast gives the better one with its window.
 *
 * @param dish proportions and the share of the liquid that stays
 * @param rowOf rows of the ingredient table
 * @returns g of sweet for each g of base, and one standard deviation of it
 */
export function finishedShare(
  dish: YieldingDish,
  rowOf: (ingredient: string) => Ingredient,
): { readonly perBase: number, readonly spread: number } {
  let perBase = 0
  let liquid = 0
  for (const one of dish.ingredients) {
    const row = rowOf(one.ingredient)
    const preparation = preparationOf(dish, one)
    const dry = preparation !== undefined && !familyOf(one.asBase?.family ?? dish.family).fresh
    const water = waterOf(one, row, preparation)
    const moisture = (one.perBase * row.nutrients.water) / 100
    perBase += one.perBase + (water - moisture)
    if (dry) {
      perBase -= moisture * ROASTED_OUT
      liquid += water - moisture
    } else liquid += water
  }
  return { perBase: perBase - liquid * (1 - dish.kept.share), spread: liquid * dish.kept.spread }
}
