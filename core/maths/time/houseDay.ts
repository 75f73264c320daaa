import { DateTime, IANAZone } from 'luxon'

const MINUTES = 1440
const EPOCH = '1970-01-01'

/**
 * Whether a name is one of a time zone (IANA time zone database).
 *
 * @param zone such as `Asia/Kolkata`
 * @returns true where it is known
 */
export function isZone(zone: string): boolean {
  return IANAZone.isValidZone(zone)
}

/**
 * The moment at which a wall clock shows a minute of a day.
 *
 * @param date ISO 8601 calendar date
 * @param minute minutes since its midnight as the clock on the wall shows them; below 0 and above 1440 for the days
 *   around it
 * @param zone of the house
 * @returns ms since 1970; a time that the clocks leave out is the one after it, one that they show twice the first
 * @example wallMs('2026-03-29', 240, 'Europe/Berlin') // 04:00 there, three hours after midnight
 */
export function wallMs(date: string, minute: number, zone: string): number {
  const day = DateTime.fromISO(date, { zone }).plus({ days: Math.floor(minute / MINUTES) })
  const within = minute - Math.floor(minute / MINUTES) * MINUTES
  const whole = Math.floor(within)
  return (
    DateTime.fromObject(
      { year: day.year, month: day.month, day: day.day, hour: Math.floor(whole / 60), minute: whole % 60 },
      { zone },
    ).toMillis()
    + (within - whole) * 60_000
  )
}

/**
 * The minute of a day that the wall clock shows at a moment.
 *
 * @param date ISO 8601 calendar date from whose midnight it is counted
 * @param atMs ms since 1970
 * @param zone of the house
 * @returns whole minutes, rounded down
 */
export function wallMinute(date: string, atMs: number, zone: string): number {
  const at = DateTime.fromMillis(atMs, { zone })
  return (dayNumber(atMs, zone) - dayNumberOf(date)) * MINUTES + at.hour * 60 + at.minute
}

/**
 * The calendar date of a moment.
 *
 * @param atMs ms since 1970
 * @param zone of the house
 * @returns ISO 8601 date
 */
export function isoDay(atMs: number, zone: string): string {
  return DateTime.fromMillis(atMs, { zone }).toISODate()!
}

/**
 * The day of a moment, counted from 1970-01-01 by the house's own calendar.
 *
 * @param atMs ms since 1970
 * @param zone of the house
 * @returns whole days
 */
export function dayNumber(atMs: number, zone: string): number {
  return dayNumberOf(isoDay(atMs, zone))
}

/**
 * A calendar date as a count of days from 1970-01-01.
 *
 * @param date ISO 8601 date
 * @returns whole days
 */
export function dayNumberOf(date: string): number {
  return Math.round(DateTime.fromISO(date, { zone: 'utc' }).diff(DateTime.fromISO(EPOCH, { zone: 'utc' }), 'days').days)
}

/**
 * A calendar date some days away.
 *
 * @param date ISO 8601 date
 * @param days whole days
 * @returns ISO 8601 date
 */
export function plusDays(date: string, days: number): string {
  return DateTime.fromISO(date, { zone: 'utc' }).plus({ days }).toISODate()!
}

/**
 * The calendar date of a count of days from 1970-01-01: the way back from `dayNumberOf`.
 *
 * @param days whole days
 * @returns ISO 8601 date
 */
export function dateOfDay(days: number): string {
  return plusDays(EPOCH, days)
}

/**
 * The time zone that this machine's own clock stands in (IANA time zone database).
 *
 * @returns such as `Asia/Kolkata`; `UTC` where it does not say
 */
export function machineZone(): string {
  return DateTime.local().zoneName ?? 'UTC'
}
