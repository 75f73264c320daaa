import type { Readable } from 'node:stream'
import { RestoredSchema, type BackupSize, type Restored } from '../../contracts/backup'
import type { Aside } from './aside'
import type { HearthClock } from './clock'
import { fileDay } from './fileStamps'
import { houseHolds, type HouseHolds } from './houseHolds'
import { onOwn } from './ownConnection'

/** Full backups of a house. */
export interface Backups {
  /** A backup as it is written, while cooking goes on; without photographs where that is wished. */
  stream(photos?: boolean): Readable
  /** What it is called when it is made now. */
  fileName(photos: boolean): string
  /** How large it will be, about. */
  size(): Promise<BackupSize>
  /** What stands in the house beside what it was stocked with. */
  holds(): Promise<HouseHolds>
  /**
   * Restores one; wholly or not at all. What stands in the house is put aside as a copy where that is said, and else
   * refused.
   */
  restore(file: Readable, putAside?: boolean): Promise<Restored>
}

/** A backup's share of what it packs, without photographs, which hardly pack (measured over the demo house, 0.09). */
const PACKED_SHARE = 0.1

/**
 * The backups of one database.
 *
 * @param file the database
 * @param clock gives the moment of the backup
 * @param aside where they are written and read
 * @param changed called when everything stands differently
 * @returns `restore` refuses `house-not-empty`, and `not-a-backup` with where it is at fault; the house is then as it
 *   was
 */
export function backupsOf(file: string, clock: HearthClock, aside: Aside, changed: () => void): Backups {
  return {
    stream: (photos = true) => aside.out({ kind: 'backup', at: clock.now(), photos }),
    fileName: photos => `yon-hearth-${fileDay(clock.now())}${photos ? '' : '-without-photographs'}.jsonl.gz`,
    size: () => onOwn(file, 'read', async (own) => {
      const [pages] = await own.all<{ bytes: number }>(
        'SELECT page_count * page_size AS bytes FROM pragma_page_count(), pragma_page_size()',
      )
      const [photos] = await own.all<{ n: number, bytes: number }>(
        'SELECT count(*) AS n, coalesce(sum(length(bytes)), 0) AS bytes FROM photos',
      )
      const [batches] = await own.all<{ n: number }>('SELECT count(*) AS n FROM batches WHERE removed_at IS NULL')
      const rest = Math.round(Math.max(0, (pages?.bytes ?? 0) - (photos?.bytes ?? 0)) * PACKED_SHARE)
      return {
        bytes: rest + (photos?.bytes ?? 0),
        withoutPhotosBytes: rest,
        batches: batches?.n ?? 0,
        photos: photos?.n ?? 0,
      }
    }),
    holds: () => onOwn(file, 'read', own => houseHolds(own)),
    async restore(given, putAside = false) {
      const restored = RestoredSchema.parse(await aside.into({ kind: 'backup', putAside }, given))
      changed()
      return restored
    },
  }
}
