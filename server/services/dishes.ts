import { readDishCard } from '../../contracts/firstFormat'
import type { DishCard } from '../../core/formulation/dish/dish'
import type { RowOf } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { readRow } from './readRow'
import { Refusal } from './refusal'
import { rowOf, rowsOf } from '../models/rows'

/** One version of a dish, for its history. */
export interface DishVersionLine {
  readonly version: number
  readonly name: string
  readonly createdAt: number
  readonly dish: DishCard
}

/** Dishes, kept as immutable versions. */
export interface Dishes {
  latest(): Promise<DishCard[]>
  one(id: string): Promise<DishCard>
  add(dish: DishCard): Promise<DishCard>
  /** All versions, newest first. */
  history(id: string): Promise<DishVersionLine[]>
  /** Ids of the dishes put aside. */
  aside(): Promise<string[]>
  putAside(id: string, aside: boolean): Promise<void>
}

type Version = RowOf<'DishVersion'>

/**
 * The dishes of one database.
 *
 * @param database an open database
 * @param clock gives the time of a new version
 * @returns `add` refuses `already-different` where that version stands with other content
 */
export function dishesOf(database: Database, clock: HearthClock): Dishes {
  const { DishVersion, DishState } = database.models
  const readable = (row: Version | null | undefined): DishCard | null => readRow(row?.dish, readDishCard)
  const read = (row: Version | undefined): DishCard => {
    const dish = readable(row)
    if (!dish) throw new Refusal('not-readable', `dishes/${row?.dishId ?? ''}`)
    return dish
  }
  const newest = async (id: string): Promise<Version[]> => {
    const rows = await rowsOf(DishVersion, { where: { dishId: id },
      order: [['version', 'DESC']] })
    if (rows.length === 0) throw new Refusal('not-found', `dishes/${id}`)
    return rows
  }
  return {
    async latest() {
      const rows = await rowsOf(DishVersion, { order: [
          ['dishId', 'ASC'],
          ['version', 'DESC'],
        ] })
      // Where the newest version of a dish cannot be read, the newest that can stands for it.
      const latest = new Map<string, DishCard>()
      for (const row of rows) {
        const id = String(row.dishId)
        const dish = latest.has(id) ? null : readable(row)
        if (dish) latest.set(id, dish)
      }
      return [...latest.values()]
    },
    one: async id => read((await newest(id))[0]),
    history: async id => (await newest(id)).flatMap((row) => {
      const dish = readable(row)
      return dish
        ? [{ version: Number(row.version), name: String(row.name), createdAt: Number(row.createdAt), dish }]
        : []
    }),
    async add(dish) {
      const content = JSON.stringify(dish)
      await DishVersion.bulkCreate(
        [{ dishId: dish.id, version: dish.version, name: dish.name, dish: content, createdAt: clock.now() }],
        { ignoreDuplicates: true },
      )
      const standing = await rowOf(DishVersion, { where: { dishId: dish.id, version: dish.version } })
      if (standing?.dish !== content && JSON.stringify(readable(standing)) !== content)
        throw new Refusal('already-different', `dishes/${dish.id} version ${dish.version}`)
      return dish
    },
    async aside() {
      const rows = await rowsOf(DishState)
      return rows.filter(row => row.putAsideAt !== null).map(row => String(row.dishId))
    },
    async putAside(id, aside) {
      await newest(id)
      await DishState.upsert({ dishId: id, putAsideAt: aside ? clock.now() : null })
    },
  }
}
