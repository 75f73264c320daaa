import { QueryTypes } from 'sequelize'
import { BatchAfterSchema, BatchPictureSchema, SEASONS, type BatchFilter, type BatchListLine, type BatchPage, type BatchQuery, type BatchTally } from '../../contracts/batch'
import { FAMILY_IDS } from '../../core/family/family'
import type { Row } from '../models/models'
import type { Database } from './database'
import { Refusal } from './refusal'

/** Lists of batches, by what they are looked for. They read columns of the batches and never replay. */
export interface Ledger {
  page(query: BatchQuery): Promise<BatchPage>
  tally(filter: BatchFilter): Promise<BatchTally>
  /** What is in the house, what must be eaten first before the rest. */
  inHouse(): Promise<BatchListLine[]>
  /** Counts are taken anew: something has changed. */
  changed(): void
}

/** What stands in the house is listed so long after its last day, ms, and so much of it. */
const LISTED_AFTER_MS = 14 * 86_400_000
const MOST_IN_HOUSE = 40
const COLUMNS = 'b.id, b.dish_id, b.dish, b.started_at, b.note, b.family, b.version, b.pan, b.pan_name, b.fire, b.fire_name, b.picture, b.after'
/** Counts that are kept until something changes. */
const MOST_KEPT = 40

/**
 * The lists of one database.
 *
 * @param database an open database
 * @param now the hearth's time, ms since 1970
 * @returns the lists
 */
export function ledgerOf(database: Database, now: () => number): Ledger {
  const select = <T extends object>(sql: string, replacements: Row): Promise<T[]> => database.sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements })
  const kept = new Map<string, Promise<BatchTally>>()
  return {
    async page(query) {
      const { from, where, values } = narrowed(query)
      const [at, id] = cursorOf(query.cursor)
      const order = query.fault !== undefined && query.fault !== 'any' && query.fault !== 'none' ? 'f.started_at DESC, f.batch_id DESC' : 'b.started_at DESC, b.id DESC'
      const rows = await select<Row>(
        `SELECT ${COLUMNS} FROM ${from} WHERE ${where}${at === null ? '' : ' AND (b.started_at, b.id) < (:at, :cursorId)'}${query.before === undefined ? '' : ' AND b.started_at < :before'} ORDER BY ${order} LIMIT :most`,
        { ...values, at, cursorId: id, before: query.before ?? null, most: query.limit + 1 })
      const batches = rows.slice(0, query.limit).map(toListLine)
      const last = batches.at(-1)
      return { batches, next: rows.length > query.limit && last ? `${last.startedAt}_${last.id}` : null }
    },
    tally(filter) {
      const key = JSON.stringify(filter)
      const known = kept.get(key)
      if (known) return known
      if (kept.size >= MOST_KEPT) kept.clear()
      const counted = count(select, filter)
      kept.set(key, counted)
      counted.catch(() => kept.delete(key))
      return counted
    },
    async inHouse() {
      const rows = await select<Row>(
        `SELECT ${COLUMNS} FROM batches b WHERE b.in_house = 1 AND b.removed_at IS NULL AND b.eat_by > :past ORDER BY b.eat_by ASC LIMIT :most`, { past: now() - LISTED_AFTER_MS, most: MOST_IN_HOUSE })
      return rows.map(toListLine)
    },
    changed: () => kept.clear(),
  }
}

interface Narrowed { readonly from: string, readonly where: string, readonly values: Row }

/** One fault is read from its own table in its own order; the batch is looked up beside it. */
function narrowed(filter: BatchFilter): Narrowed {
  const { fault } = filter
  const named = fault !== undefined && fault !== 'any' && fault !== 'none'
  const parts = ['b.removed_at IS NULL']
  if (named) parts.push('f.fault = :fault')
  if (fault === 'any') parts.push('b.faulty = 1')
  if (fault === 'none') parts.push('b.faulty = 0')
  if (filter.dish !== undefined) parts.push('b.dish_id = :dish')
  if (filter.family !== undefined) parts.push('b.family = :family')
  if (filter.pan !== undefined) parts.push('b.pan = :pan')
  if (filter.fire !== undefined) parts.push('b.fire = :fire')
  if (filter.season !== undefined) parts.push('b.season = :season')
  return {
    from: named ? 'batch_faults f CROSS JOIN batches b ON b.id = f.batch_id' : 'batches b',
    where: parts.join(' AND '),
    values: {
      fault: fault ?? null, dish: filter.dish ?? null, family: filter.family ?? null, pan: filter.pan ?? null, fire: filter.fire ?? null,
      season: filter.season === undefined ? null : SEASONS.indexOf(filter.season),
    },
  }
}

async function count(select: <T extends object>(sql: string, values: Row) => Promise<T[]>, filter: BatchFilter): Promise<BatchTally> {
  const { from, where, values } = narrowed(filter)
  const groups = (id: string, name: string, over = from, and = where): Promise<{ id: string | number | null, name: string | null, count: number }[]> =>
    select(`SELECT ${id} AS id, ${name} AS name, count(*) AS count FROM ${over} WHERE ${and} GROUP BY 1 ORDER BY 3 DESC LIMIT 60`, values)
  const [totals] = await select<{ count: number, faulty: number | null, oldest: number | null, newest: number | null }>(
    `SELECT count(*) AS count, sum(b.faulty) AS faulty, min(b.started_at) AS oldest, max(b.started_at) AS newest FROM ${from} WHERE ${where}`, values)
  const [dishes, families, pans, fires, seasons, faults] = await Promise.all([
    groups('b.dish_id', 'max(b.dish)'), groups('b.family', 'b.family'), groups('b.pan', 'max(b.pan_name)'), groups('b.fire', 'max(b.fire_name)'), groups('b.season', 'b.season'),
    groups('g.fault', 'g.fault', `batch_faults g CROSS JOIN batches b ON b.id = g.batch_id${from.startsWith('batch_faults') ? ' CROSS JOIN batch_faults f ON f.batch_id = b.id' : ''}`),
  ])
  const named = (rows: Awaited<typeof dishes>): BatchTally['dishes'] => rows.flatMap(row => (row.id === null ? [] : [{ id: String(row.id), name: String(row.name ?? row.id), count: row.count }]))
  return {
    count: totals?.count ?? 0, right: (totals?.count ?? 0) - (totals?.faulty ?? 0), oldest: totals?.oldest ?? null, newest: totals?.newest ?? null,
    dishes: named(dishes), families: named(families).filter(one => (FAMILY_IDS as readonly string[]).includes(one.id)), faults: named(faults), pans: named(pans), fires: named(fires),
    seasons: seasons.flatMap(row => (row.id === null ? [] : [{ id: SEASONS[Number(row.id)]!, name: SEASONS[Number(row.id)]!, count: row.count }])),
  }
}

function cursorOf(cursor: string | undefined): [number | null, string] {
  if (cursor === undefined) return [null, '']
  const [at, id] = cursor.split('_')
  const time = Number(at)
  if (!Number.isSafeInteger(time) || id === undefined) throw new Refusal('body-not-understood', 'cursor')
  return [time, id]
}

/** As a row of the ledger goes out; what this version cannot read of it is left out. */
function toListLine(row: Row): BatchListLine {
  return { ...lineOf(row), summary: BatchPictureSchema.parse(JSON.parse(String(row.picture))) }
}

/**
 * What a row says of a batch beside its summary.
 *
 * @param row of the table, by its own column names
 * @returns the line
 */
export function lineOf(row: Row): Omit<BatchListLine, 'summary'> {
  const after = BatchAfterSchema.nullable().safeParse(JSON.parse(String(row.after ?? 'null')))
  const thing = (id: unknown, name: unknown): BatchListLine['pan'] => (id === null || id === undefined ? null : { id: String(id), name: String(name ?? id) })
  return {
    id: String(row.id), dishId: String(row.dish_id), dish: String(row.dish), startedAt: Number(row.started_at), note: String(row.note),
    family: row.family === null || row.family === undefined ? null : String(row.family), version: row.version === null || row.version === undefined ? null : Number(row.version),
    pan: thing(row.pan, row.pan_name), fire: thing(row.fire, row.fire_name), after: after.success ? after.data : null,
  }
}
