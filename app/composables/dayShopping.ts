import type { Ingredient } from '../../contracts/ingredient'
import type { Kitchen } from '../../contracts/kitchen'
import type { Spread } from '../../contracts/spread'
import { preparationOf } from '../../core/formulation/dish/basesOf'
import { milkFor } from '../../core/formulation/preparing/milkYields'
import { preparedWeight } from '../../core/formulation/preparing/preparedWeight'
import { canThicken, THICKENED } from '../../core/day/spread/thickenedMilk'
import { addNeeds, shopping, type ShoppingLine } from '../../core/formulation/store/shopping'

/**
 * What to buy for a day: the amounts of its dishes added up, less what is in the house.
 *
 * @param spread the day
 * @param table the ingredient table
 * @param store what is in the house
 * @param today days since 1970-01-01
 */
export function dayShopping(
  spread: Pick<Spread, 'dishes'>,
  table: readonly Ingredient[],
  store: Kitchen['store'],
  today: number,
): ShoppingLine[] {
  const rows = new Map(table.map(row => [row.id, row]))
  const rowOf = (id: string): Ingredient => rows.get(id)!
  const needs = spread.dishes.flatMap(({ card, baseG, thickens }) =>
    card.ingredients
      .filter(one => rows.has(one.ingredient))
      .map(one => {
        const ownG = Math.min(50_000, one.perBase * baseG)
        const boiled = thickens === true && one.ingredient === THICKENED.ingredient && canThicken(ownG)
        const row = rowOf(boiled ? THICKENED.from : one.ingredient)
        const massG = boiled ? milkFor(ownG, 'thickened').middle : ownG
        return {
          ingredient: row.id,
          massG: preparedWeight(massG, row.yields, preparationOf(card, one) ?? 'as-bought').asBoughtG,
          dishes: [card.name],
        }
      }),
  )
  return shopping(addNeeds(needs), store, rowOf, today)
}
