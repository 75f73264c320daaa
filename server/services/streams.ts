import { EventEmitter } from 'node:events'
import { Op } from 'sequelize'
import { StoredObservationSchema, type AppendRequest, type StoredObservation } from '../../contracts/observation'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'

/** Append-only logs of observations, each under the id of its stream: a cook now, a day later. */
export interface Streams {
  append(stream: string, request: AppendRequest): Promise<StoredObservation[]>
  read(stream: string, after: number): Promise<StoredObservation[]>
  follow(stream: string, listener: (observations: readonly StoredObservation[]) => void): () => void
}

/**
 * The logs of one database.
 *
 * @param database an open database
 * @param clock gives the time of receipt
 * @returns `append` answers once the observations are on disk; the same id twice is kept once
 */
export function streamsOf(database: Database, clock: HearthClock): Streams {
  const { Observation } = database.models
  const bus = new EventEmitter()
  bus.setMaxListeners(0)
  const find = async (where: Row): Promise<StoredObservation[]> =>
    (await Observation.findAll({ where, order: [['place', 'ASC']], raw: true })).map(row => toObservation(row as unknown as Row))
  return {
    async append(stream, { sentAt, observations }) {
      const receivedAt = clock.now()
      await Observation.bulkCreate(
        observations.map(one => ({ ...one, payload: JSON.stringify(one.payload), stream, sentAt, receivedAt })),
        { ignoreDuplicates: true })
      const stored = await find({ stream, id: { [Op.in]: observations.map(one => one.id) } })
      bus.emit(stream, stored)
      return stored
    },
    read: (stream, after) => find({ stream, place: { [Op.gt]: after } }),
    follow(stream, listener) {
      bus.on(stream, listener)
      return () => bus.off(stream, listener)
    },
  }
}

function toObservation(row: Row): StoredObservation {
  return StoredObservationSchema.parse({
    id: row.id, device: row.device, number: row.number, deviceTime: row.deviceTime, sentAt: row.sentAt,
    receivedAt: row.receivedAt, kind: row.kind, payload: JSON.parse(String(row.payload)), place: row.place,
  })
}
