import type { Ingredient } from '../../materials/composition/ingredient'
import type { CookPlan } from './plan'

/**
 * A row of the ingredient table as a plan reads it: what the household added itself stands in the plan.
 *
 * @param plan the plan
 * @param known rows of the book, by id
 * @returns finds a row; undefined where neither knows it
 */
export function planRow(
  plan: Pick<CookPlan, 'amounts'>,
  known: ReadonlyMap<string, Ingredient>,
): (ingredient: string) => Ingredient | undefined {
  const own = new Map(plan.amounts.flatMap(one => (one.own ? [[one.ingredient, one.own] as const] : [])))
  return ingredient => known.get(ingredient) ?? own.get(ingredient)
}
