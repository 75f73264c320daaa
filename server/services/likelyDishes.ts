import type { NextDishes } from '../../contracts/nextDish'
import { INGREDIENTS } from '../../book/ingredients'
import { houseTable } from '../../core/materials/composition/corrections'
import { lastDay } from '../../core/formulation/store/shopping'
import { dayNumber, machineZone } from '../../core/maths/time/houseDay'
import { nextDishes } from '../../core/process/usual/nextDishes'
import type { HearthClock } from './clock'
import type { Dishes } from './dishes'
import type { Kitchens } from './kitchens'
import type { Ledger } from './ledger'

/** Dishes that the house is likeliest to make next. */
export interface LikelyDishes {
  next(): Promise<NextDishes>
}

/** More would be a list again. */
const MOST = 3

/**
 * Dishes that the house is likeliest to make next, by what is in it, what perishes and what was made; without those of
 * which something still stands in the house.
 *
 * @param dishes the book
 * @param kitchens the store
 * @param ledger what was made
 * @param clock the hearth's time
 * @returns three at most
 */
export function likelyDishesOf(dishes: Dishes, kitchens: Kitchens, ledger: Ledger, clock: HearthClock): LikelyDishes {
  return {
    async next() {
      const [book, aside, kitchen, tally, standing] = await Promise.all([
        dishes.latest(),
        dishes.aside(),
        kitchens.all(),
        ledger.tally({}),
        ledger.inHouse(),
      ])
      const rows = new Map(houseTable(INGREDIENTS, kitchen).map(row => [row.id, row]))
      const name = (id: string): string => (rows.get(id)?.name.split(',')[0] ?? id).toLowerCase()
      const today = dayNumber(clock.now(), kitchen.settings[0]?.zone ?? machineZone())
      const good = kitchen.store.flatMap((item) => {
        const row = rows.get(item.ingredient)
        const last = row && item.massG > 0 ? lastDay(item, row) : null
        return last === null || last < today ? [] : [{ ingredient: item.ingredient, lastDay: last }]
      })
      const made = new Map(tally.dishes.map(one => [one.id, one.count]))
      const stands = new Set(standing.map(one => one.dishId))
      const candidates = book.filter(dish => !aside.includes(dish.id) && !stands.has(dish.id)).map(dish => ({
        id: dish.id, made: made.get(dish.id) ?? 0,
        needs: [...new Set(dish.ingredients.map(one => one.ingredient).filter(id => rows.get(id)?.kind !== 'water'))],
      }))
      const found = nextDishes(candidates, good, today, MOST)
      return {
        dishes: await Promise.all(
          found.map(async ({ id, why, missing, uses }) => ({
            id,
            why,
            missing: missing.map(name),
            uses: uses ? { name: name(uses.ingredient), lastDay: uses.lastDay } : null,
            made: made.get(id) ?? 0,
            last: (await ledger.page({ dish: id, fault: 'none', limit: 1 })).batches[0] ?? null,
          })),
        ),
      }
    },
  }
}
