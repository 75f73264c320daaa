import { Op, QueryTypes } from 'sequelize'
import { StoredObservationSchema, type AppendRequest, type StoredObservation } from '../../contracts/observation'
import type { RawRow } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { rowsOf } from '../models/rows'

/** Append-only logs of observations, each under the id of its stream: a cook now, a day later. */
export interface Streams {
  append(stream: string, request: AppendRequest): Promise<StoredObservation[]>
  read(stream: string, after: number): Promise<StoredObservation[]>
  /** The same in pages, so that a long one never holds anything up. */
  pages(stream: string, after: number): AsyncGenerator<StoredObservation[]>
  follow(stream: string, listener: Listener): () => void
}

type Listener = (observations: readonly StoredObservation[]) => void

/** Observations read at once. */
const AT_ONCE = 500
/** Kind of an observation that stands in the log and cannot be read: it is shown as unknown, and passed over. */
const UNREADABLE = 'unreadable'

/**
 * The logs of one database.
 *
 * @param database an open database
 * @param clock gives the time of receipt
 * @returns `append` answers once the observations are on disk; the same id twice is kept once
 */
export function streamsOf(database: Database, clock: HearthClock): Streams {
  const { Observation } = database.models
  const followers = new Map<string, Set<Listener>>()
  async function* pages(stream: string, after: number): AsyncGenerator<StoredObservation[]> {
    for (let from = after; ;) {
      const rows = await database.sequelize.query<RawRow>(
        'SELECT * FROM observations WHERE stream = :stream AND place > :from ORDER BY place LIMIT :most',
        { type: QueryTypes.SELECT, replacements: { stream, from, most: AT_ONCE } })
      if (rows.length > 0) yield rows.map(toObservation)
      if (rows.length < AT_ONCE) return
      from = Number(rows.at(-1)!.place)
    }
  }
  return {
    async append(stream, { sentAt, observations }) {
      const receivedAt = clock.now()
      await Observation.bulkCreate(
        observations.map(one => ({ ...one, payload: JSON.stringify(one.payload), stream, sentAt, receivedAt })),
        { ignoreDuplicates: true })
      const rows = await rowsOf(Observation, { where: { stream, id: { [Op.in]: observations.map(one => one.id) } },
        order: [['place', 'ASC']] })
      const stored = rows.map(({ deviceTime, sentAt: sent, receivedAt: received, ...row }) =>
        toObservation({ ...row, device_time: deviceTime, sent_at: sent, received_at: received }),
      )
      for (const tell of followers.get(stream) ?? []) tell(stored)
      return stored
    },
    async read(stream, after) {
      const all: StoredObservation[] = []
      for await (const page of pages(stream, after)) all.push(...page)
      return all
    },
    pages,
    follow(stream, listener) {
      const here = followers.get(stream) ?? new Set()
      followers.set(stream, here.add(listener))
      return () => {
        here.delete(listener)
        if (here.size === 0) followers.delete(stream)
      }
    },
  }
}

/**
 * An observation as its row has it. Rows were parsed when they came; one that is damaged keeps its place and its id.
 *
 * @param row of the table, by its own column names
 * @returns the observation; of the kind `unreadable` where it cannot be read
 */
export function toObservation(row: RawRow): StoredObservation {
  const place = Number(row.place)
  const read = {
    id: row.id,
    device: row.device,
    number: row.number,
    deviceTime: row.device_time,
    sentAt: row.sent_at,
    receivedAt: row.received_at,
    kind: row.kind,
    payload: payloadOf(row.payload),
    place,
  }
  if (isWhole(read)) return read
  const receivedAt = typeof row.received_at === 'number' ? row.received_at : 0
  return {
    id: `unreadable-${place}`,
    device: 'unreadable',
    number: 0,
    deviceTime: receivedAt,
    sentAt: receivedAt,
    receivedAt,
    kind: UNREADABLE,
    payload: {},
    place,
  }
}

/** As much as can go wrong in a row of this form; what came in was parsed by the contract. */
function isWhole(read: Readonly<Record<keyof StoredObservation, unknown>>): read is StoredObservation {
  return (
    StoredObservationSchema.shape.id.safeParse(read.id).success
    && StoredObservationSchema.shape.device.safeParse(read.device).success
    && StoredObservationSchema.shape.kind.safeParse(read.kind).success
    && [read.number, read.deviceTime, read.sentAt, read.receivedAt].every(Number.isSafeInteger)
    && read.payload !== null
  )
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function payloadOf(text: unknown): Record<string, unknown> | null {
  try {
    const value: unknown = JSON.parse(String(text))
    return isRecord(value) ? value : null
  }
  catch {
    return null
  }
}
