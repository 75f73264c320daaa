import { readDishCard } from '../../contracts/firstFormat'
import type { DishCard } from '../../core/dish/dish'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { Refusal } from './refusal'

/** One version of a dish, for its history. */
export interface DishVersionLine { readonly version: number, readonly name: string, readonly createdAt: number, readonly dish: DishCard }

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
  const read = (row: unknown): DishCard => readDishCard(JSON.parse(String((row as Row).dish)))
  const newest = async (id: string): Promise<Row[]> => {
    const rows = await DishVersion.findAll({ where: { dishId: id }, order: [['version', 'DESC']], raw: true }) as unknown as Row[]
    if (rows.length === 0) throw new Refusal('not-found', `dishes/${id}`)
    return rows
  }
  return {
    async latest() {
      const rows = await DishVersion.findAll({ order: [['dishId', 'ASC'], ['version', 'DESC']], raw: true }) as unknown as Row[]
      return rows.filter((row, i) => i === 0 || rows[i - 1]?.dishId !== row.dishId).map(read)
    },
    one: async id => read((await newest(id))[0]),
    history: async id => (await newest(id)).map(row => ({
      version: Number(row.version), name: String(row.name), createdAt: Number(row.createdAt), dish: read(row),
    })),
    async add(dish) {
      const content = JSON.stringify(dish)
      await DishVersion.bulkCreate([{ dishId: dish.id, version: dish.version, name: dish.name, dish: content, createdAt: clock.now() }], { ignoreDuplicates: true })
      const standing = await DishVersion.findOne({ where: { dishId: dish.id, version: dish.version }, raw: true }) as unknown as Row
      if (standing.dish !== content && JSON.stringify(read(standing)) !== content) throw new Refusal('already-different', `dishes/${dish.id} version ${dish.version}`)
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
