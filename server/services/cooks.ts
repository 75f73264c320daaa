import { CookPlanSchema, type Cook, type LiveCookLine } from '../../contracts/cook'
import type { CookPlan } from '../../core/live/plan'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { Refusal } from './refusal'
import type { Streams } from './streams'

/** Cooks: a plan that never changes and the stream under its id. */
export interface Cooks {
  create(plan: CookPlan): Promise<void>
  plan(id: string): Promise<CookPlan>
  one(id: string): Promise<Cook>
  live(): Promise<LiveCookLine[]>
  has(id: string): Promise<boolean>
  mark(id: string, startedAt: number | null, finishedAt: number | null): Promise<void>
  /** Ids of finished cooks without a batch. */
  unsettled(): Promise<string[]>
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
    const row = await Cook.findByPk(id, { raw: true }) as unknown as Row | null
    if (!row) throw new Refusal('not-found', `cooks/${id}`)
    return CookPlanSchema.parse(JSON.parse(String(row.plan)))
  }
  return {
    plan,
    async create(given) {
      const content = JSON.stringify(given)
      await Cook.bulkCreate([{
        id: given.id, dish: given.dish.name, plan: content, plannedAt: given.plannedAt, createdAt: clock.now(), startedAt: null, finishedAt: null,
      }], { ignoreDuplicates: true })
      const standing = await Cook.findByPk(given.id, { raw: true, attributes: ['plan'] }) as unknown as Row
      if (standing.plan !== content) throw new Refusal('already-different', `cooks/${given.id}`)
    },
    one: async id => ({ plan: await plan(id), observations: await streams.read(id, 0) }),
    async live() {
      const rows = await Cook.findAll({ where: { finishedAt: null }, order: [['plannedAt', 'DESC']], limit: 20, raw: true })
      return (rows as unknown as Row[]).map(row => ({
        id: String(row.id), dish: String(row.dish), plannedAt: Number(row.plannedAt),
        startedAt: row.startedAt === null ? null : Number(row.startedAt),
      }))
    },
    has: async id => await Cook.count({ where: { id } }) > 0,
    async mark(id, startedAt, finishedAt) {
      await Cook.update({ startedAt, finishedAt }, { where: { id } })
    },
    async unsettled() {
      const rows = await database.sequelize.query(
        'SELECT c.id FROM cooks c LEFT JOIN batches b ON b.id = c.id WHERE c.finished_at IS NOT NULL AND b.id IS NULL')
      return (rows[0] as Row[]).map(row => String(row.id))
    },
  }
}
