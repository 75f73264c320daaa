import { randomUUID } from 'node:crypto'
import { MOST_PHOTO_BYTES, MOST_PHOTOS, MOST_PHOTO_SIDE, type PhotoLine } from '../../contracts/photo'
import type { RawRow } from '../models/models'
import type { HearthClock } from './clock'
import type { DailyCopies } from './copies'
import type { Database } from './database'
import { plainJpeg } from './jpeg'
import { Refusal } from './refusal'
import { rowOf, rowsOf } from '../models/rows'

/** Photographs of batches: kept small, with nothing in them but the picture. */
export interface Photos {
  of(batch: string): Promise<PhotoLine[]>
  add(batch: string, bytes: Buffer): Promise<PhotoLine>
  bytes(id: string): Promise<Buffer>
  remove(id: string): Promise<void>
}

/**
 * The photographs of one database.
 *
 * @param database an open database
 * @param clock gives the time
 * @param copies of the database, out of which a removed photograph goes too
 * @returns `add` refuses `not-a-photo` for what is no JPEG or too large, `too-many-photos` beyond twelve; a photograph
 *   that is removed is gone, in the log of the database and in its copies as well
 */
export function photosOf(database: Database, clock: HearthClock, copies: Pick<DailyCopies, 'forgetPhoto'>): Photos {
  const { Photo, Batch } = database.models
  const line = (row: RawRow): PhotoLine => ({
    id: String(row.id),
    at: Number(row.at),
    width: Number(row.width),
    height: Number(row.height),
  })
  const of = async (batch: string): Promise<PhotoLine[]> =>
    (
      await rowsOf(Photo, { where: { batchId: batch, removedAt: null },
        attributes: ['id', 'at', 'width', 'height'],
        order: [
          ['at', 'ASC'],
          ['id', 'ASC'],
        ] })
    ).map(line)
  return {
    of,
    async add(batch, given) {
      if (await Batch.count({ where: { id: batch } }) === 0) throw new Refusal('not-found', `batches/${batch}`)
      const plain = given.length <= MOST_PHOTO_BYTES ? plainJpeg(given) : null
      if (!plain || Math.max(plain.width, plain.height) > MOST_PHOTO_SIDE) throw new Refusal('not-a-photo', 'photo')
      if ((await of(batch)).length >= MOST_PHOTOS) throw new Refusal('too-many-photos', `batches/${batch}`)
      const row = {
        id: randomUUID(),
        batchId: batch,
        at: clock.now(),
        width: plain.width,
        height: plain.height,
        bytes: plain.bytes,
        removedAt: null,
      }
      await Photo.create(row)
      return line(row)
    },
    async bytes(id) {
      const row = await rowOf(Photo, { where: { id, removedAt: null },
        attributes: ['bytes'] })
      // Versions before this one let pass what stood between the scans of a picture: nothing of it goes out.
      const plain = row && Buffer.isBuffer(row.bytes) ? plainJpeg(row.bytes) : null
      if (!plain) throw new Refusal('not-found', `photos/${id}`)
      return plain.bytes
    },
    async remove(id) {
      if (await Photo.destroy({ where: { id } }) === 0) throw new Refusal('not-found', `photos/${id}`)
      await database.sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)')
      await copies.forgetPhoto(id)
    },
  }
}
