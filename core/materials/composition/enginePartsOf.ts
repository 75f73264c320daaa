import type { Composition } from './composition'
import type { Nutrients } from './nutrients'
import { sugarsOf } from './sugarsOf'

/**
 * The five parts the forecast runs on, as shares of the weight: water, fat, all sugars, the rest as solids; nuts stay
 * whole, because they can be taken out again.
 *
 * @param food parts of 100 g
 * @param whole true for whole nuts and their like
 * @returns shares that add to one
 */
export function enginePartsOf(food: Nutrients, whole: boolean): Composition {
  if (whole) return { water: 0, solids: 0, fat: 0, sugar: 0, nuts: 1 }
  const sugar = sugarsOf(food)
  const invert = food.glucose + food.fructose
  const solids = food.protein + food.starch + food.fibre + food.ash + food.acids
  const all = food.water + food.fat + sugar + solids
  return {
    water: food.water / all,
    solids: solids / all,
    fat: food.fat / all,
    sugar: sugar / all,
    nuts: 0,
    ...(invert > 0 ? { invert: invert / all } : {}),
  }
}
