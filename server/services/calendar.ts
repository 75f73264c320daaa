import { createHash, randomBytes } from 'node:crypto'
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator'
import { Op } from 'sequelize'
import { ToldEntriesSchema, type CalendarKey } from '../../contracts/calendar'
import { SpreadSchema } from '../../contracts/spread'
import { calendarOf, retold, type CalendarSubject, type ToldEntry } from '../../core/day/spread/calendarOf'
import { isoDay, plusDays, machineZone } from '../../core/maths/time/houseDay'
import type { RawRow } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import type { Kitchens } from './kitchens'
import { readRow } from './readRow'
import { Refusal } from './refusal'
import { daysMs, isoMoment } from '../../core/maths/time/moments'
import { rowOf, rowsOf } from '../models/rows'

/** Says what an entry is of: its title and what stands below it. */
export type SayEntry = (subject: CalendarSubject) => { readonly title: string, readonly text: string }

/** The days of a house as a calendar (RFC 5545). */
export interface Calendars {
  /** One day, with what was taken out of it cancelled. */
  day(id: string, say: SayEntry): Promise<string>
  /** All days that are near, for who holds an address; null where the secret is none, or was taken back. */
  feed(secret: string, say: SayEntry): Promise<string | null>
  keys(): Promise<CalendarKey[]>
  /** Makes an address; its secret is told once and kept as a digest alone. */
  makeKey(name: string): Promise<{ readonly key: CalendarKey, readonly secret: string }>
  /** Takes an address back: from then on it reads nothing. */
  dropKey(id: string): Promise<void>
}

/** Days that are told of: so long ago, and no end ahead. */
const TOLD_DAYS = 60
/** What is gone is told as cancelled for so long, ms. */
const GONE_MS = daysMs(45)
/** Alarms ring this long before a step begins, s; a reader looks again after so long, s. */
const ALARM_S = 300
const AGAIN_S = 900
const SECRET_BYTES = 24
const MOST_KEYS = 20

const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')

/**
 * The calendars of one database.
 *
 * @param database an open database
 * @param clock gives the time
 * @param kitchens say in which zone the house is; that of this machine where nobody said
 * @returns the calendars
 */
export function calendarsOf(database: Database, clock: HearthClock, kitchens: Pick<Kitchens, 'all'>): Calendars {
  const { CalendarDay, CalendarKey: Key, Spread: Table } = database.models
  const zoneOf = async (): Promise<string> => (await kitchens.all()).settings[0]?.zone ?? machineZone()

  /** What is told of a day, brought up to its revision and kept. */
  async function toldOf(
    row: RawRow,
    zone: string,
  ): Promise<{ readonly name: string, readonly told: readonly ToldEntry[] } | null> {
    const id = String(row.id)
    const spread = readRow(row.spread, value =>
      SpreadSchema.parse(Object.assign({}, value, { revision: Number(row.revision) })),
    )
    if (!spread) return null
    const known = await rowOf(CalendarDay, { where: { spreadId: id } })
    const before = known ? (readRow(known.told, value => ToldEntriesSchema.parse(value)) ?? []) : []
    const removed = row.removedAt !== null
    const [revision, changedAt] = [
      Number(row.revision) + (removed ? 1 : 0),
      Number(removed ? row.removedAt : row.changedAt),
    ]
    if (known && Number(known.revision) === revision && known.zone === zone) return { name: spread.name, told: before }
    const told = retold(before, removed ? [] : calendarOf(spread, zone), revision, changedAt)
    await CalendarDay.upsert({ spreadId: id, revision, zone, told: JSON.stringify(told) })
    return { name: spread.name, told }
  }

  return {
    async day(id, say) {
      const row = await rowOf(Table, { where: { id, removedAt: null } })
      if (!row) throw new Refusal('not-found', `spreads/${id}`)
      const one = await toldOf(row, await zoneOf())
      if (!one) throw new Refusal('not-readable', `spreads/${id}`)
      return written(one.name, one.told, say, clock.now())
    },
    async feed(secret, say) {
      const key = await rowOf(Key, { where: { digest: digestOf(secret) } })
      if (!key) return null
      await Key.update({ readAt: clock.now() }, { where: { id: key.id } })
      const zone = await zoneOf()
      const since = plusDays(isoDay(clock.now(), zone), -TOLD_DAYS)
      const rows = await rowsOf(Table, { where: { eve: { [Op.gte]: since } },
        order: [['eve', 'ASC']] })
      const told: ToldEntry[] = []
      for (const row of rows) told.push(...(await toldOf(row, zone))?.told ?? [])
      return written('Yon Hearth', told, say, clock.now())
    },
    async keys() {
      return (await rowsOf(Key, { order: [['madeAt', 'DESC']] })).map(lineOf)
    },
    async makeKey(name) {
      if (await Key.count() >= MOST_KEYS) throw new Refusal('too-many-addresses', 'calendar/keys')
      const secret = randomBytes(SECRET_BYTES).toString('base64url')
      const row = {
        id: randomBytes(9).toString('hex'),
        name,
        digest: digestOf(secret),
        madeAt: clock.now(),
        readAt: null,
      }
      await Key.create(row)
      return { key: lineOf(row), secret }
    },
    async dropKey(id) {
      if (await Key.destroy({ where: { id } }) === 0) throw new Refusal('not-found', `calendar/keys/${id}`)
    },
  }
}

function lineOf(row: RawRow): CalendarKey {
  return {
    id: String(row.id),
    name: String(row.name),
    madeAt: Number(row.madeAt),
    readAt: row.readAt === null ? null : Number(row.readAt),
  }
}

function written(name: string, told: readonly ToldEntry[], say: SayEntry, nowMs: number): string {
  const calendar = ical({
    name,
    prodId: { company: 'Yon Hearth', product: 'Spread', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: AGAIN_S,
  })
  for (const { entry, sequence, changedAt, gone } of told) {
    if (gone && nowMs - changedAt > GONE_MS) continue
    const { title, text } = say(entry.subject)
    const event = calendar.createEvent({
      id: entry.uid,
      start: isoMoment(entry.fromMs),
      end: isoMoment(entry.toMs),
      stamp: isoMoment(changedAt),
      lastModified: isoMoment(changedAt),
      sequence,
      summary: title,
      description: text,
      status: gone ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    })
    if (!gone && entry.subject.kind !== 'meal')
      event.createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_S, description: title })
  }
  return calendar.toString()
}
