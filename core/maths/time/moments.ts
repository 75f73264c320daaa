import { DateTime, Duration, type DateTimeFormatOptions } from 'luxon'

/** One language for now: days and months as Britain writes them. */
const LOCALE = 'en-GB'

/**
 * A moment in words, by the calendar and the clock of a place.
 *
 * @param atMs ms since 1970
 * @param zone IANA time zone
 * @param options which parts are written, as in ECMA-402
 * @returns such as `12 Jun` or `19:42`
 */
export function localText(atMs: number, zone: string, options: DateTimeFormatOptions): string {
  return DateTime.fromMillis(atMs, { zone, locale: LOCALE }).toLocaleString(options)
}

/**
 * The year of a moment by the calendar of a place.
 *
 * @param atMs ms since 1970
 * @param zone IANA time zone
 * @returns such as 2026
 */
export function yearOf(atMs: number, zone: string): number {
  return DateTime.fromMillis(atMs, { zone }).year
}

/**
 * A moment in universal time, as files and tables write it (ISO 8601).
 *
 * @param atMs ms since 1970
 * @returns such as `2026-06-12T19:42:00.000Z`; empty for what is no moment
 */
export function isoMoment(atMs: number): string {
  return DateTime.fromMillis(atMs, { zone: 'utc' }).toISO() ?? ''
}

/**
 * A moment in universal time for the name of a file: without a colon or a dot.
 *
 * @param atMs ms since 1970
 * @returns such as `2026-06-12T19-42-00-000Z`
 */
export function fileMoment(atMs: number): string {
  return isoMoment(atMs).replace(/[:.]/g, '-')
}

/**
 * The quarter of the year of a moment, by the clock of this machine.
 *
 * @param atMs ms since 1970
 * @returns 0 for December to February, to 3
 */
export function seasonOf(atMs: number): number {
  return Math.floor((DateTime.fromMillis(atMs).month % 12) / 3)
}

/**
 * A count of whole days as a duration.
 *
 * @param days how many
 * @returns ms
 */
export function daysMs(days: number): number {
  return Duration.fromObject({ days }).toMillis()
}
