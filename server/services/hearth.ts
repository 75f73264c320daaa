import { backupsOf, type Backups } from './backup'
import { batchesOf, type Batches } from './batches'
import type { HearthClock } from './clock'
import { cooksOf, type Cooks } from './cooks'
import { copiesOf, type DailyCopies } from './copies'
import { openDatabase, type Database } from './database'
import { dishesOf, type Dishes } from './dishes'
import { kitchensOf, type Kitchens } from './kitchens'
import { devicesOf, type Devices } from './devices'
import { exchangeOf, type Exchange } from './exchange'
import { houseOf, type House } from './house'
import { ledgerOf, type Ledger } from './ledger'
import { lessonsOf, type Lessons } from './lessons'
import { photosOf, type Photos } from './photos'
import { spreadsOf, type Spreads } from './spreads'
import { streamsOf, type Streams } from './streams'
import type { AppendRequest, StoredObservation } from '../../contracts/observation'
import { AFTER_KINDS } from '../../core/live/afterFire'

/** Everything the server offers, over one database and one clock. */
export interface Hearth {
  readonly clock: HearthClock
  readonly database: Database
  readonly streams: Streams
  readonly kitchens: Kitchens
  readonly dishes: Dishes
  readonly cooks: Cooks
  readonly batches: Batches
  readonly ledger: Ledger
  readonly photos: Photos
  readonly backups: Backups
  readonly copies: DailyCopies
  readonly exchange: Exchange
  readonly lessons: Lessons
  readonly spreads: Spreads
  readonly house: House
  readonly devices: Devices
  /** Appends to a stream and settles the cook under its id when that changes what the ledger shows. */
  append(stream: string, request: AppendRequest): Promise<StoredObservation[]>
  /** Waits for settling that is still under way. */
  settled(): Promise<void>
  close(): Promise<void>
}

/** Kinds after which a cook's start, end or batch may stand differently. */
const SETTLING = new Set(['cook.started', 'cook.finished', 'outcome', 'corrected', 'withdrawn', 'weighed', 'note'])
/** Kinds that change only what is left of a batch, and how it was liked. */
const FOLLOWING = new Set<string>([...AFTER_KINDS, 'step.done'])

/**
 * Opens a hearth.
 *
 * @param folder where the database lies
 * @param clock the one clock
 * @returns the services; finished cooks whose batch was not made yet are settled first
 * @throws FolderNotWritable
 */
export async function openHearth(folder: string, clock: HearthClock): Promise<Hearth> {
  const database = await openDatabase(folder, new Date(clock.now()).toISOString().replace(/[:.]/g, '-'))
  const streams = streamsOf(database, clock)
  const cooks = cooksOf(database, clock, streams)
  const ledger = ledgerOf(database, () => clock.now())
  const batches = batchesOf(database, clock, cooks, ledger)
  const copies = copiesOf(clock, folder)
  let settling: Promise<unknown> = Promise.resolve()
  /** What waits to be settled; a cook waits once, however much is marked meanwhile. */
  const waiting = new Map<string, 'settle' | 'follow'>()
  const settle = (id: string, how: 'settle' | 'follow' = 'settle'): void => {
    const known = waiting.get(id)
    waiting.set(id, known === 'settle' ? known : how)
    if (known) return
    settling = settling.then(async () => {
      const now = waiting.get(id) ?? how
      waiting.delete(id)
      if (await cooks.has(id)) await batches[now](id)
    }).catch((error: unknown) => console.error(`A batch could not be settled; its observations are safe. ${String(error)}`))
  }
  for (const id of await cooks.unsettled()) settle(id)
  const append = async (stream: string, request: AppendRequest): Promise<StoredObservation[]> => {
    const stored = await streams.append(stream, request)
    if (request.observations.some(one => SETTLING.has(one.kind))) settle(stream)
    else if (request.observations.some(one => FOLLOWING.has(one.kind))) settle(stream, 'follow')
    return stored
  }
  return {
    clock, database, streams, cooks, batches, ledger, append,
    house: houseOf(database, clock),
    devices: devicesOf(database, clock, cooks, append),
    photos: photosOf(database, clock, copies),
    backups: backupsOf(database, clock, folder, () => ledger.changed()),
    copies,
    exchange: exchangeOf(database, batches, ledger),
    kitchens: kitchensOf(database, clock),
    dishes: dishesOf(database, clock),
    lessons: lessonsOf(database, clock, batches),
    spreads: spreadsOf(database, clock),
    async settled() {
      await settling
    },
    async close() {
      copies.stop()
      await settling
      await database.close()
    },
  }
}
