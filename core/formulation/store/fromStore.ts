import { known } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { DishCard } from '../dish/dish'

/** The most that a store is enough for. */
export interface EnoughFor {
  /** Weight of the base, g. */
  readonly baseG: number
  /** Id within the dish of what runs out first. */
  readonly runsOut: string
  /** Ids of what the store does not know: it was not counted. */
  readonly missing: readonly string[]
}

/**
 * How much of a dish can be made of what is in the house.
 *
 * @param dish ingredients
 * @param store what is there, g as bought
 * @param rowOf rows of the ingredient table
 * @returns the most, or null where none of the base is there; water is always there
 */
export function fromStore(
  dish: Pick<DishCard, 'base' | 'ingredients'>,
  store: readonly { readonly ingredient: string, readonly massG: number }[],
  rowOf: (ingredient: string) => Ingredient,
): EnoughFor | null {
  const there = new Map<string, number>()
  for (const one of store) there.set(one.ingredient, (there.get(one.ingredient) ?? 0) + one.massG)
  const needed = new Map<string, number>()
  const prepared = (ingredient: string): number =>
    rowOf(ingredient).kind === 'produce' ? rowOf(ingredient).yields.prepared : 1
  for (const one of dish.ingredients)
    if (one.part !== 'water' && one.perBase > 0)
      needed.set(one.ingredient, (needed.get(one.ingredient) ?? 0) + one.perBase / prepared(one.ingredient))
  const base = dish.ingredients.find(one => one.id === dish.base)
  if (!base || !((there.get(base.ingredient) ?? 0) > 0)) return null
  const limits = [...needed]
    .flatMap(([ingredient, perBase]) => {
      const massG = there.get(ingredient) ?? 0
      return massG > 0 ? [{ ingredient, baseG: massG / perBase }] : []
    })
    .sort((p, q) => p.baseG - q.baseG)
  const least = known(limits[0], dish.base)
  const idOf = (ingredient: string): string =>
    dish.ingredients.find(one => one.ingredient === ingredient)?.id ?? ingredient
  return {
    baseG: least.baseG,
    runsOut: idOf(least.ingredient),
    missing: [...needed.keys()].filter(ingredient => !((there.get(ingredient) ?? 0) > 0)).map(idOf),
  }
}
