import { DishSchema } from '../../contracts/dish'
import type { Dish } from '../../core/dish/dish'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { Refusal } from './refusal'

/** Dishes, kept as immutable versions. */
export interface Dishes {
  latest(): Promise<Dish[]>
  one(id: string): Promise<Dish>
  add(dish: Dish): Promise<Dish>
}

/**
 * The dishes of one database.
 *
 * @param database an open database
 * @param clock gives the time of a new version
 * @returns `add` refuses `already-different` where that version stands with other content
 */
export function dishesOf(database: Database, clock: HearthClock): Dishes {
  const { DishVersion } = database.models
  const read = (row: unknown): Dish => DishSchema.parse(JSON.parse(String((row as Row).dish)))
  const latest = async (): Promise<Dish[]> => {
    const rows = await DishVersion.findAll({ order: [['dishId', 'ASC'], ['version', 'DESC']], raw: true }) as unknown as Row[]
    return rows.filter((row, i) => i === 0 || rows[i - 1]?.dishId !== row.dishId).map(read)
  }
  return {
    latest,
    async one(id) {
      const row = await DishVersion.findOne({ where: { dishId: id }, order: [['version', 'DESC']], raw: true })
      if (!row) throw new Refusal('not-found', `dishes/${id}`)
      return read(row)
    },
    async add(dish) {
      const content = JSON.stringify(dish)
      const known = await DishVersion.findOne({ where: { dishId: dish.id, version: dish.version }, raw: true }) as Row | null
      if (known && known.dish !== content) throw new Refusal('already-different', `dishes/${dish.id} version ${dish.version}`)
      if (!known) {
        await DishVersion.create({ dishId: dish.id, version: dish.version, name: dish.name, dish: content, createdAt: clock.now() })
      }
      return dish
    },
  }
}
