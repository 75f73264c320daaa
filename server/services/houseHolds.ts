import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { SHELF_NAMES } from '../../contracts/kitchen'
import type { OwnConnection } from './ownConnection'

/** What stands in a house beside what every new one is stocked with: how many of each. */
export type HouseHolds = Readonly<
  Record<'batches' | 'cooks' | 'lessons' | 'days' | 'dishes' | 'shelves' | 'photos', number>
>

/**
 * Counts what a household has put into its house.
 *
 * @param own a connection
 * @param schema `main`, or the name it is attached by
 * @returns counts; all nought where it is as it was stocked
 */
export async function houseHolds(own: OwnConnection, schema = 'main'): Promise<HouseHolds> {
  const count = async (table: string): Promise<number> =>
    (await own.all<{ n: number }>(`SELECT count(*) AS n FROM ${schema}.${table}`))[0]?.n ?? 0
  const stocked = new Set(STARTER_DISHES.map(dish => `${dish.id} ${dish.version}`))
  const dishes = await own.all<{ dish_id: string, version: number }>(
    `SELECT dish_id, version FROM ${schema}.dish_versions`,
  )
  const guessed = new Map<string, string>(
    SHELF_NAMES.flatMap(shelf =>
      FIRST_KITCHEN[shelf].map(item => [`${shelf} ${item.id}`, JSON.stringify(item)] as const),
    ),
  )
  const shelves = await own.all<{ shelf: string, id: string, item: string, removed_at: number | null }>(
    `SELECT shelf, id, item, removed_at FROM ${schema}.shelf_items`,
  )
  return {
    batches: await count('batches'),
    cooks: await count('cooks'),
    lessons: await count('lessons'),
    days: await count('spreads'),
    photos: await count('photos'),
    dishes: dishes.filter(one => !stocked.has(`${one.dish_id} ${one.version}`)).length + (await count('dish_states')),
    shelves: shelves.filter(one => one.removed_at !== null || guessed.get(`${one.shelf} ${one.id}`) !== one.item)
      .length,
  }
}

/**
 * Whether a household has put nothing into a house yet.
 *
 * @param holds counts
 * @returns true where it is as it was stocked
 */
export function isUntouched(holds: HouseHolds): boolean {
  return Object.values(holds).every(count => count === 0)
}
