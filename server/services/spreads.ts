import { z } from 'zod'
import { SpreadSchema, type Spread, type SpreadLine } from '../../contracts/spread'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { readAs, readRow } from './readRow'
import { Refusal } from './refusal'
import { rowOf, rowsOf } from '../models/rows'

/** Days of cooking. */
export interface Spreads {
  /** Latest day first. */
  all(): Promise<SpreadLine[]>
  one(id: string): Promise<Spread>
  /** Keeps a day; its revision must be the one that stands, and comes back one higher. */
  put(spread: Spread): Promise<Spread>
  remove(id: string): Promise<void>
  /** The revision that stands; 0 where there is none. */
  revision(id: string): Promise<number>
  /** Tells of every change of a day until it is stopped. */
  follow(id: string, tell: (spread: Spread) => void): () => void
}

/** So many of the latest days are listed. */
const MOST = 200

/** What a line tells of a day beside its columns. */
const DishesSchema = z.object({ dishes: z.array(z.unknown()) })

/**
 * The days of one database. Removing is soft; putting a day again brings it back.
 *
 * @param database an open database
 * @param clock gives the time of a change
 * @returns `put` refuses `changed-meanwhile` where another device has changed the day since
 */
export function spreadsOf(database: Database, clock: HearthClock): Spreads {
  const { Spread: Table } = database.models
  const followers = new Map<string, Set<(spread: Spread) => void>>()
  const read = async (id: string): Promise<Spread | null> => {
    const row = await rowOf(Table, { where: { id, removedAt: null } })
    if (!row) return null
    const spread = readRow(row.spread, value =>
      SpreadSchema.parse(Object.assign({}, value, { revision: Number(row.revision) })),
    )
    if (!spread) throw new Refusal('not-readable', `spreads/${id}`)
    return spread
  }
  return {
    async all() {
      const rows = await rowsOf(Table, { where: { removedAt: null },
        order: [
          ['eve', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: MOST })
      return rows.map((row): SpreadLine => ({
        id: String(row.id),
        name: String(row.name),
        eve: String(row.eve),
        revision: Number(row.revision),
        changedAt: Number(row.changedAt),
        dishes: readAs(row.spread, DishesSchema)?.dishes.length ?? 0,
      }))
    },
    async one(id) {
      const spread = await read(id)
      if (!spread) throw new Refusal('not-found', `spreads/${id}`)
      return spread
    },
    async put(spread) {
      const next: Spread = { ...spread, revision: spread.revision + 1 }
      const row = {
        id: next.id,
        name: next.name,
        eve: next.eve,
        revision: next.revision,
        spread: JSON.stringify(next),
        changedAt: clock.now(),
        removedAt: null,
      }
      const [count] = await Table.update(row, { where: { id: spread.id, revision: spread.revision } })
      if (count === 0) {
        // Whoever else makes it in this moment may come first: what stands then decides.
        await Table.bulkCreate([row], { ignoreDuplicates: true })
        const standing = await rowOf(Table, { where: { id: spread.id } })
        if (standing?.spread !== row.spread)
          throw new Refusal('changed-meanwhile', `spreads/${spread.id} revision ${String(standing?.revision ?? 0)}`)
      }
      for (const tell of followers.get(next.id) ?? []) tell(next)
      return next
    },
    async remove(id) {
      const [count] = await Table.update({ removedAt: clock.now() }, { where: { id, removedAt: null } })
      if (count === 0) throw new Refusal('not-found', `spreads/${id}`)
    },
    async revision(id) {
      const row = await rowOf(Table, { where: { id: id }, attributes: ['revision'] })
      return Number(row?.revision ?? 0)
    },
    follow(id, tell) {
      const here = followers.get(id) ?? new Set()
      followers.set(id, here.add(tell))
      return () => {
        here.delete(tell)
        if (here.size === 0) followers.delete(id)
      }
    },
  }
}
