import { inlineAside, type Aside } from './aside'
import { backupsOf, type Backups } from './backup'
import { batchesOf, type Batches } from './batches'
import { calendarsOf, type Calendars } from './calendar'
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
import { likelyDishesOf, type LikelyDishes } from './likelyDishes'
import { openCooksOf, type OpenCooks } from './openCooks'
import { photosOf, type Photos } from './photos'
import { spreadsOf, type Spreads } from './spreads'
import { settlingOf } from './settling'
import { streamsOf, type Streams } from './streams'
import { unreadableIn } from './unreadable'
import type { AppendRequest, StoredObservation } from '../../contracts/observation'
import { fileMoment } from '../../core/maths/time/moments'

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
  readonly likelyDishes: LikelyDishes
  readonly spreads: Spreads
  readonly calendars: Calendars
  readonly house: House
  readonly devices: Devices
  readonly openCooks: OpenCooks
  /** Appends to a stream and settles the cook under its id when that changes what the ledger shows. */
  append(stream: string, request: AppendRequest): Promise<StoredObservation[]>
  /** Waits for settling that is still under way, of all cooks or of one, no longer than is said. */
  settled(withinMs?: number, cook?: string): Promise<void>
  /** What stands in the house and cannot be read here. */
  unreadable(): ReturnType<typeof unreadableIn>
  close(): Promise<void>
}

/** How long an end waits for what is being settled, ms: it is taken up at the next start. */
const CLOSING_MS = 3000

/**
 * Opens a hearth.
 *
 * @param folder where the database lies
 * @param clock the one clock
 * @param makeAside where cooks are worked out, for the file of the database; in this process where it is left out
 * @returns the services; cooks whose settling was cut off are taken up again
 * @throws StartRefused
 */
export async function openHearth(
  folder: string,
  clock: HearthClock,
  makeAside: (file: string) => Aside = inlineAside,
): Promise<Hearth> {
  const database = await openDatabase(folder, fileMoment(clock.now()))
  const streams = streamsOf(database, clock)
  const cooks = cooksOf(database, clock, streams)
  const ledger = ledgerOf(database, () => clock.now())
  const batches = batchesOf(database, clock, cooks, ledger)
  const copies = copiesOf(clock, folder)
  const kitchens = kitchensOf(database, clock)
  const aside = makeAside(database.file)
  const settling = settlingOf(database, aside, cooks, batches)
  await settling.takeUp()
  const append = async (stream: string, request: AppendRequest): Promise<StoredObservation[]> => {
    const stored = await streams.append(stream, request)
    settling.heard(
      stream,
      request.observations.map(one => one.kind),
    )
    return stored
  }
  const dishes = dishesOf(database, clock)
  const openCooks = openCooksOf(database, clock, aside, append)
  return {
    clock,
    database,
    openCooks,
    streams,
    cooks,
    batches,
    ledger,
    append,
    house: houseOf(database, clock),
    devices: devicesOf(database, clock, cooks, aside, append),
    photos: photosOf(database, clock, copies),
    backups: backupsOf(database.file, clock, aside, () => ledger.changed()),
    copies,
    exchange: exchangeOf(aside, ledger),
    kitchens,
    dishes,
    likelyDishes: likelyDishesOf(dishes, kitchens, ledger, clock),
    lessons: lessonsOf(database, clock, batches),
    spreads: spreadsOf(database, clock),
    calendars: calendarsOf(database, clock, kitchens),
    settled: settling.settled,
    unreadable: () => unreadableIn(database),
    async close() {
      openCooks.stop()
      await copies.stop()
      await settling.settled(CLOSING_MS)
      settling.stop()
      aside.end()
      await settling.settled()
      await database.close()
    },
  }
}
