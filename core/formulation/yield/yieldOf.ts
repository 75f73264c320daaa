import type { Allergen, Ingredient } from '../../materials/composition/ingredient'
import type { Correction } from '../../materials/composition/correction'
import { mixOf } from '../../materials/composition/mixOf'
import type { Nutrients } from '../../materials/composition/nutrients'
import { sugarsOf } from '../../materials/composition/sugarsOf'
import { preparationOf } from '../dish/basesOf'
import type { DishCard } from '../dish/dish'
import type { Window } from '../../maths/random/window'
import { finishedShare } from '../proportions/finishedShare'
import { roleRatio } from '../proportions/roleRatio'
import { spansOf } from '../dish/spans'
import { preparedWeight } from '../preparing/preparedWeight'
import { Z90 } from '../../maths/random/normalCdf'
import { sweetnessG, type Served } from './sweetness'

/** What one serving holds. */
export interface Serving {
  readonly massG: number
  readonly energyKj: number
  readonly fatG: number
  readonly sugarG: number
  readonly fibreG: number
  readonly proteinG: number
}

/** Whether the mass holds its fat. */
export type FatLook = 'held' | 'seen-at-edge' | 'pools'

/** What comes of a dish measured out, before it is cooked. */
export interface DishYield {
  /** Finished weight, g, 10–90 %. */
  readonly finishedG: Window
  readonly servings: number
  readonly serving: Serving
  /**
   * Spread of the figures of a serving as a share: composition tables and produce (estimate), and the finished weight.
   */
  readonly servingSpread: number
  /** As sweet as so many g of sugar in 100 g, warm and cold. */
  readonly sweetness: Readonly<Record<Served, number>>
  readonly fat: FatLook
  /** Allergens by name, with the ingredients that carry them. */
  readonly allergens: readonly { readonly allergen: Allergen, readonly from: readonly string[] }[]
  /** In the household's money; null where no price is known. `unpriced` names what is left out. */
  readonly cost: { readonly total: number, readonly each: number, readonly unpriced: readonly string[] } | null
  /** Ingredients whose composition is recalled, not read from a table. */
  readonly recalled: readonly string[]
}

/** Tables and real food differ by about this much (estimate). */
const TABLE_SPREAD = 0.08

type Dish = Pick<DishCard, 'family' | 'base' | 'ingredients' | 'kept' | 'portionG' | 'choices'>

/**
 * What comes of a dish: weight, servings, sweetness, fat, what a serving holds, allergens and cost. Nutrition figures
 * are estimates, not medical advice.
 *
 * @param dish proportions and choices
 * @param baseG weight of the base, g, above zero
 * @param rowOf rows of the ingredient table, corrections in them
 * @param prices prices by ingredient, where they are known
 * @returns every figure with what it rests on
 */
export function yieldOf(
  dish: Dish,
  baseG: number,
  rowOf: (ingredient: string) => Ingredient,
  prices: readonly Correction[] = [],
): DishYield {
  const foods = dish.ingredients.map(one => ({ one, row: rowOf(one.ingredient), massG: one.perBase * baseG }))
  const mix = mixOf(foods.map(({ massG, row }) => ({ massG, food: row.nutrients })))
  const { perBase, spread } = finishedShare(dish, rowOf)
  const finished = perBase * baseG
  const side = Z90 * spread * baseG
  const servings = finished / dish.portionG
  const per100 = (grams: number): number => (100 * grams) / finished
  return {
    finishedG: { early: finished - side, middle: finished, late: finished + side },
    servings,
    serving: servingOf(mix, dish.portionG, finished),
    servingSpread: Math.hypot(TABLE_SPREAD, spread / perBase),
    sweetness: { warm: per100(sweetnessG(mix, 'warm')), cold: per100(sweetnessG(mix, 'cold')) },
    fat: fatLook(dish, rowOf),
    allergens: allergensOf(foods.filter(food => food.massG > 0)),
    cost: costOf(foods, dish, servings, prices),
    recalled: foods
      .filter(({ row }) => row.source.compositionOrigin === 'recalled' && row.kind !== 'water' && row.kind !== 'spice')
      .map(({ row }) => row.name),
  }
}

function servingOf(mix: Nutrients, portionG: number, finished: number): Serving {
  const share = portionG / finished
  return {
    massG: portionG,
    energyKj: mix.energyKj * share,
    fatG: mix.fat * share,
    sugarG: sugarsOf(mix) * share,
    fibreG: mix.fibre * share,
    proteinG: mix.protein * share,
  }
}

/** Held up to rich, seen at the edge up to the span's end, a pool beyond (the craft's spans). */
function fatLook(dish: Dish, rowOf: (ingredient: string) => Ingredient): FatLook {
  const { fat } = spansOf(dish)
  const ratio = roleRatio(dish, 'fat', ingredient => rowOf(ingredient).composition)
  return ratio <= fat.steps[2] ? 'held' : ratio <= fat.to ? 'seen-at-edge' : 'pools'
}

function allergensOf(foods: readonly { readonly row: Ingredient }[]): DishYield['allergens'] {
  const by = new Map<Allergen, string[]>()
  for (const { row } of foods)
    for (const allergen of row.allergens) by.set(allergen, [...(by.get(allergen) ?? []), row.name])
  return [...by].map(([allergen, from]) => ({ allergen, from }))
}

function costOf(
  foods: readonly { readonly one: DishCard['ingredients'][number], readonly row: Ingredient, readonly massG: number }[],
  dish: Dish,
  servings: number,
  prices: readonly Correction[],
): DishYield['cost'] {
  const priceOf = new Map(
    prices.flatMap(one => (one.pricePerKg === undefined ? [] : [[one.id, one.pricePerKg] as const])),
  )
  let total = 0
  const unpriced: string[] = []
  for (const { one, row, massG } of foods) {
    const price = priceOf.get(row.id)
    const bought = preparedWeight(Math.min(50000, massG), row.yields, preparationOf(dish, one) ?? 'as-bought').asBoughtG
    if (price !== undefined) total += (price * bought) / 1000
    else if (row.kind !== 'water' && massG > 0) unpriced.push(row.name)
  }
  return priceOf.size > 0 && total > 0 ? { total, each: total / servings, unpriced } : null
}
