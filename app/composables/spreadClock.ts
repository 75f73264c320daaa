import { wallMinute, wallMs } from '../../core/maths/time/houseDay'
import { useSettings } from '../stores/settings'
import { inHouseTime } from './houseTime'

/**
 * Minute of a day's clock for a moment, as the clock on the wall of the house shows it.
 *
 * @param eve calendar date from whose midnight it is counted, ISO 8601
 * @param atMs ms since 1970
 * @returns whole minutes
 */
export function minuteOf(eve: string, atMs: number): number {
  return wallMinute(eve, atMs, useSettings().zone)
}

/**
 * The moment at which the clock on the wall shows a minute of a day.
 *
 * @param eve calendar date from whose midnight it is counted, ISO 8601
 * @param minute of its clock
 * @returns ms since 1970
 */
export function momentOf(eve: string, minute: number): number {
  return wallMs(eve, minute, useSettings().zone)
}

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const

/**
 * A day of a spread by its name.
 *
 * @param eve calendar date, ISO 8601
 * @param days after it
 * @returns such as `Saturday 28 November`
 */
export function longDayText(eve: string, days = 1): string {
  return inHouseTime(momentOf(eve, days * 1440 + 720), LONG)
}
