import type { Readable } from 'node:stream'
import { TakenInSchema, type TakenIn } from '../../contracts/backup'
import type { Aside } from './aside'
import type { Ledger } from './ledger'

/** Batches as files: out as CSV or JSON Lines, JSON Lines in again. */
export interface Exchange {
  /** One line a batch, newest first (RFC 4180). */
  csv(): Readable
  /** One whole batch a line. */
  jsonl(): Readable
  /** Takes batches in; what stands here already stays. All of a file or nothing. */
  takeIn(file: Readable): Promise<TakenIn>
}

/**
 * The files of one database's batches.
 *
 * @param aside where they are written and read
 * @param ledger is told of every change
 * @returns `takeIn` refuses `not-a-backup` with the line at fault
 */
export function exchangeOf(aside: Aside, ledger: Ledger): Exchange {
  return {
    csv: () => aside.out({ kind: 'csv' }),
    jsonl: () => aside.out({ kind: 'jsonl' }),
    async takeIn(file) {
      const taken = TakenInSchema.parse(await aside.into({ kind: 'batches' }, file))
      ledger.changed()
      return taken
    },
  }
}
