import { CookPlanSchema, type Cook, type LiveCookLine } from '../../contracts/cook'
import { thinPlan } from '../../core/cook/batch/thinPlan'
import type { CookPlan } from '../../core/record/plan/plan'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { readAs } from './readRow'
import { Refusal } from './refusal'
import type { Streams } from './streams'
import { rowOf, rowsOf } from '../models/rows'

/** Cooks: a plan that never changes and the stream under its id. */
export interface Cooks {
  create(plan: CookPlan): Promise<void>
  plan(id: string): Promise<CookPlan>
  one(id: string): Promise<Cook>
  live(): Promise<LiveCookLine[]>
  has(id: string): Promise<boolean>
  /** Keeps when a cook began and ended, and up to which place of its log that is known. */
  settled(id: string, startedAt: number | null, finishedAt: number | null, upTo: number): Promise<void>
}

/**
 * The cooks of one database.
 *
 * @param database an open database
 * @param clock gives the time of creation
 * @param streams their observations
 * @returns `create` is idempotent; it refuses `already-different` for another plan under the same id
 */
export function cooksOf(database: Database, clock: HearthClock, streams: Streams): Cooks {
  const { Cook } = database.models
  const plan = async (id: string): Promise<CookPlan> => {
    const row = await rowOf(Cook, { where: { id: id } })
    if (!row) throw new Refusal('not-found', `cooks/${id}`)
    const read = readAs(row.plan, CookPlanSchema)
    if (!read) throw new Refusal('not-readable', `cooks/${id}`)
    return read
  }
  return {
    plan,
    async create(given) {
      const content = JSON.stringify(thinPlan(given))
      await Cook.bulkCreate(
        [
          {
            id: given.id,
            dish: given.dish.name,
            plan: content,
            plannedAt: given.plannedAt,
            createdAt: clock.now(),
            startedAt: null,
            finishedAt: null,
            settledPlace: 0,
          },
        ],
        { ignoreDuplicates: true },
      )
      const standing = await rowOf(Cook, { where: { id: given.id }, attributes: ['plan'] })
      if (standing?.plan !== content) throw new Refusal('already-different', `cooks/${given.id}`)
    },
    one: async id => ({ plan: await plan(id), observations: await streams.read(id, 0) }),
    async live() {
      const rows = await rowsOf(Cook, { where: { finishedAt: null }, order: [['plannedAt', 'DESC']], limit: 20 })
      return rows.map(({ id, dish, plannedAt, startedAt }) => ({ id, dish, plannedAt, startedAt, likelyDoneAt: null }))
    },
    has: async id => await Cook.count({ where: { id } }) > 0,
    async settled(id, startedAt, finishedAt, settledPlace) {
      await Cook.update({ startedAt, finishedAt, settledPlace }, { where: { id } })
    },
  }
}
