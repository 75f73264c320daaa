import { isOneOf } from '../../core/records'
import { QueryTypes } from 'sequelize'
import { BatchAfterSchema, BatchPictureSchema, type BatchListLine, type BatchPage, type BatchTally } from '../../contracts/batch'
import { SEASONS, type BatchFilter, type BatchQuery } from '../../contracts/batchQuery'
import { FAMILY_IDS } from '../../core/formulation/family/family'
import type { RawRow } from '../models/models'
import type { Database } from './database'
import { readAs } from './readRow'
import { Refusal } from './refusal'
import { daysMs } from '../../core/maths/time/moments'

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
const LISTED_AFTER_MS = daysMs(14)
const MOST_IN_HOUSE = 40
const COLUMNS =
  'b.id, b.dish_id, b.dish, b.started_at, b.note, b.family, b.version, b.pan, b.pan_name, b.fire, b.fire_name, b.picture, b.after'
/** Counts that are kept until something changes. */
const MOST_KEPT = 40
/** Kinds of one sort that can be chosen from. */
const MOST_KINDS = 60

/**
 * The lists of one database.
 *
 * @param database an open database
 * @param now the hearth's time, ms since 1970
 * @returns the lists
 */
export function ledgerOf(database: Database, now: () => number): Ledger {
  const select = <T extends object>(sql: string, replacements: RawRow): Promise<T[]> =>
    database.sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements })
  const kept = new Map<string, Promise<BatchTally>>()
  return {
    async page(query) {
      const { from, where, values } = narrowed(query)
      const [at, id] = cursorOf(query.cursor)
      const order =
        query.fault !== undefined && query.fault !== 'any' && query.fault !== 'none'
          ? 'f.started_at DESC, f.batch_id DESC'
          : 'b.started_at DESC, b.id DESC'
      const rows = await select<RawRow>(
        `SELECT ${COLUMNS} FROM ${from} WHERE ${where}${at === null ? '' : ' AND (b.started_at, b.id) < (:at, :cursorId)'}${query.before === undefined ? '' : ' AND b.started_at < :before'} ORDER BY ${order} LIMIT :most`,
        { ...values, at, cursorId: id, before: query.before ?? null, most: query.limit + 1 },
      )
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
      const rows = await select<RawRow>(
        `SELECT ${COLUMNS} FROM batches b WHERE b.in_house = 1 AND b.removed_at IS NULL AND b.eat_by > :past ORDER BY b.eat_by ASC LIMIT :most`,
        { past: now() - LISTED_AFTER_MS, most: MOST_IN_HOUSE },
      )
      return rows.map(toListLine)
    },
    changed: () => kept.clear(),
  }
}

interface Narrowed { readonly from: string, readonly where: string, readonly values: RawRow }

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
      fault: fault ?? null,
      dish: filter.dish ?? null,
      family: filter.family ?? null,
      pan: filter.pan ?? null,
      fire: filter.fire ?? null,
      season: filter.season === undefined ? null : SEASONS.indexOf(filter.season),
    },
  }
}

type Select = <T extends object>(sql: string, values: RawRow) => Promise<T[]>

/** How many a filter finds; what there is to filter by is told of the whole ledger alone. */
async function count(select: Select, filter: BatchFilter): Promise<BatchTally> {
  const { from, where, values } = narrowed(filter)
  const rows = await select<{ faulty: number, count: number, oldest: number | null, newest: number | null }>(
    `SELECT b.faulty AS faulty, count(*) AS count, min(b.started_at) AS oldest, max(b.started_at) AS newest FROM ${from} WHERE ${where} GROUP BY b.faulty`,
    values,
  )
  const times = rows.flatMap(row => [row.oldest, row.newest]).filter((one): one is number => one !== null)
  const totals = {
    count: rows.reduce((sum, row) => sum + row.count, 0),
    right: rows.filter(row => row.faulty === 0).reduce((sum, row) => sum + row.count, 0),
    oldest: times.length > 0 ? Math.min(...times) : null,
    newest: times.length > 0 ? Math.max(...times) : null,
  }
  const none = { dishes: [], families: [], faults: [], pans: [], fires: [], seasons: [] }
  return Object.keys(filter).length > 0 ? { ...totals, ...none } : { ...totals, ...await kindsOf(select) }
}

type Counted = BatchTally['dishes']

/**
 * What batches can be told apart by, the most frequent first. Groups are read from indexes alone; a name is looked up
 * for each.
 */
async function kindsOf(select: Select): Promise<Omit<BatchTally, 'count' | 'right' | 'oldest' | 'newest'>> {
  const groups = async (column: string, name: string): Promise<Counted> =>
    (
      await select<{ id: string | number | null, name: string | null, count: number }>(
        `SELECT k.id AS id, k.count AS count, (SELECT ${name} FROM batches n WHERE n.${column} = k.id AND n.removed_at IS NULL ORDER BY n.started_at DESC LIMIT 1) AS name
     FROM (SELECT ${column} AS id, count(*) AS count FROM batches WHERE removed_at IS NULL AND ${column} IS NOT NULL GROUP BY ${column} ORDER BY 2 DESC LIMIT ${MOST_KINDS}) k`,
        {},
      )
    ).map(row => ({ id: String(row.id), name: String(row.name ?? row.id), count: row.count }))
  const [dishes, families, pans, fires, seasons, faults] = await Promise.all([
    groups('dish_id', 'n.dish'),
    groups('family', 'n.family'),
    groups('pan', 'n.pan_name'),
    groups('fire', 'n.fire_name'),
    groups('season', 'n.season'),
    select<{ id: string, name: string, count: number }>(
      'SELECT fault AS id, fault AS name, count(*) AS count FROM batch_faults GROUP BY fault ORDER BY 3 DESC',
      {},
    ),
  ])
  return {
    dishes, pans, fires, faults, families: families.filter(one => isOneOf(FAMILY_IDS, one.id)),
    seasons: seasons.map(({ id, count: many }) => ({
      id: SEASONS[Number(id)]!,
      name: SEASONS[Number(id)]!,
      count: many,
    })),
  }
}

function cursorOf(cursor: string | undefined): [number | null, string] {
  if (cursor === undefined) return [null, '']
  const [, at, id] = /^(\d{1,15})_([A-Za-z0-9][A-Za-z0-9._-]{0,63})$/.exec(cursor) ?? []
  const time = Number(at)
  if (!Number.isSafeInteger(time) || id === undefined) throw new Refusal('body-not-understood', 'cursor')
  return [time, id]
}

/** What is drawn of a batch whose row cannot be read: nothing. */
const NO_PICTURE: BatchListLine['summary'] = {
  stones: [],
  keystoneS: null,
  endS: null,
  baseG: 0,
  finishedG: null,
  weighed: false,
  darkestStep: null,
  faults: [],
  line: '',
}

/** As a row of the ledger goes out; one that this version cannot read keeps its place, and says so. */
function toListLine(row: RawRow): BatchListLine {
  const summary = readAs(row.picture, BatchPictureSchema)
  return summary ? { ...lineOf(row), summary } : { ...lineOf(row), summary: NO_PICTURE, unreadable: true }
}

/**
 * What a row says of a batch beside its summary.
 *
 * @param row of the table, by its own column names
 * @returns the line
 */
export function lineOf(row: RawRow): Omit<BatchListLine, 'summary'> {
  const after = readAs(row.after ?? 'null', BatchAfterSchema.nullable())
  const thing = (id: unknown, name: unknown): BatchListLine['pan'] =>
    id === null || id === undefined ? null : { id: String(id), name: String(name ?? id) }
  return {
    id: String(row.id),
    dishId: String(row.dish_id),
    dish: String(row.dish),
    startedAt: Number(row.started_at) || 0,
    note: String(row.note),
    family: row.family === null || row.family === undefined ? null : String(row.family),
    version: row.version === null || row.version === undefined ? null : Number(row.version),
    pan: thing(row.pan, row.pan_name),
    fire: thing(row.fire, row.fire_name),
    after,
  }
}
