import { recordOf } from '../../core/records'
import type { z } from 'zod'
import { SHELF_NAMES, SHELVES, type Kitchen, type ShelfName } from '../../contracts/kitchen'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { readAs } from './readRow'
import { Refusal } from './refusal'
import { rowOf, rowsOf } from '../models/rows'

/** The household's cups, spoons, pans and fires. */
export interface Kitchens {
  all(): Promise<Kitchen>
  /** True where nothing was ever put on any shelf. */
  isBare(): Promise<boolean>
  put(shelf: ShelfName, item: Kitchen[ShelfName][number]): Promise<void>
  remove(shelf: ShelfName, id: string): Promise<void>
}

/**
 * The shelves of one database. Removing is soft.
 *
 * @param database an open database
 * @param clock gives the time of removal
 * @returns the shelves
 */
export function kitchensOf(database: Database, clock: HearthClock): Kitchens {
  const { ShelfItem } = database.models
  return {
    async all() {
      const rows = await rowsOf(ShelfItem, {
        where: { removedAt: null },
        order: [
          ['place', 'ASC'],
          ['id', 'ASC'],
        ],
      })
      const items = (shelf: ShelfName): unknown[] => rows
        .filter(row => row.shelf === shelf).flatMap((row) => {
          const item = readAs<z.ZodType>(row.item, SHELVES[shelf])
          return item === null ? [] : [item]
        })
      return recordOf(SHELF_NAMES, items) as Kitchen // each item was read by its shelf's schema
    },
    isBare: async () => await ShelfItem.count() === 0,
    async put(shelf, item) {
      const known = await rowOf(ShelfItem, { where: { shelf, id: item.id } })
      const place = known ? Number(known.place) : 1 + Number(await ShelfItem.max('place') ?? 0)
      await ShelfItem.upsert({ id: item.id, shelf, place, item: JSON.stringify(item), removedAt: null })
    },
    async remove(shelf, id) {
      const [changed] = await ShelfItem.update({ removedAt: clock.now() }, { where: { id, shelf, removedAt: null } })
      if (changed === 0) throw new Refusal('not-found', `${shelf}/${id}`)
    },
  }
}
