import { readDishCard } from '../../contracts/firstFormat'
import type { DishCard } from '../../core/formulation/dish/dish'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { readRow } from './readRow'
import { Refusal } from './refusal'

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

/**
 * The dishes of one database.
 *
 * @param database an open database
 * @param clock gives the time of a new version
 * @returns `add` refuses `already-different` where that version stands with other content
 */
export function dishesOf(database: Database, clock: HearthClock): Dishes {
  const { DishVersion, DishState } = database.models
  const readable = (row: unknown): DishCard | null => readRow((row as Row).dish, readDishCard)
  const read = (row: unknown): DishCard => {
    const dish = readable(row)
    if (!dish) throw new Refusal('not-readable', `dishes/${String((row as Row).dishId)}`)
    return dish
  }
  const newest = async (id: string): Promise<Row[]> => {
    const rows = (await DishVersion.findAll({
      where: { dishId: id },
      order: [['version', 'DESC']],
      raw: true,
    })) as unknown as Row[]
    if (rows.length === 0) throw new Refusal('not-found', `dishes/${id}`)
    return rows
  }
  return {
    async latest() {
      const rows = (await DishVersion.findAll({
        order: [
          ['dishId', 'ASC'],
          ['version', 'DESC'],
        ],
        raw: true,
      })) as unknown as Row[]
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
      const standing = (await DishVersion.findOne({
        where: { dishId: dish.id, version: dish.version },
        raw: true,
      })) as unknown as Row
      if (standing.dish !== content && JSON.stringify(readable(standing)) !== content)
        throw new Refusal('already-different', `dishes/${dish.id} version ${dish.version}`)
      return dish
    },
    async aside() {
      const rows = await DishState.findAll({ raw: true }) as unknown as Row[]
      return rows.filter(row => row.putAsideAt !== null).map(row => String(row.dishId))
    },
    async putAside(id, aside) {
      await newest(id)
      await DishState.upsert({ dishId: id, putAsideAt: aside ? clock.now() : null })
    },
  }
}
