import { clockText } from '../../words/clockText'
import { dateOfDay, dayNumber, wallMs } from '../../core/maths/time/houseDay'
import { localText } from '../../core/maths/time/moments'
import { useSettings } from '../stores/settings'
import { inHouseTime } from './houseTime'

export { clockText }

const DAY = { day: 'numeric', month: 'short' } as const
const HOUR = { hour: '2-digit', minute: '2-digit' } as const
const HOUR_12 = { hour: 'numeric', minute: '2-digit' } as const
const WEEKDAY = { weekday: 'short', day: 'numeric', month: 'short' } as const

const NOON_MIN = 720

/** From an hour on tens of seconds say nothing, s. */
const HOUR_S = 3600

/**
 * A window in minutes and seconds, rounded to ten seconds as nothing finer is known.
 *
 * @param early s
 * @param late s
 * @returns such as `8:40–12:00`; in hours and minutes, `0:50–1:34 h`, from an hour on; `about 9:20` where a single run
 *   is all there is yet
 */
export function windowText(early: number, late: number): string {
  const round = (value: number): number => Math.round(value / 10) * 10
  if (early === late) return `about ${clockText(round(early))}`
  if (late >= HOUR_S) return `${hours(early)}–${hours(late)} h`
  return `${clockText(round(early))}–${clockText(round(late))}`
}

/**
 * A window in whole minutes.
 *
 * @param window s
 * @returns such as `8–14 min`; `about 12 min` where a single run is all there is yet
 */
export function minutesText({ early, late }: { readonly early: number, readonly late: number }): string {
  const [from, to] = [Math.round(early / 60), Math.round(late / 60)]
  return from === to ? `about ${from} min` : `${from}–${to} min`
}

function hours(seconds: number): string {
  const minutes = Math.round(seconds / 60)
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`
}

/** Grams of an avoirdupois ounce, NIST Handbook 44 (2024), appendix C. */
export const G_PER_OZ = 28.349523125
const OZ_PER_LB = 16

/**
 * A weight as fine as a kitchen scale, in the units of the house.
 *
 * @param grams g
 * @returns such as `1 520 g`, or `3 lb 5.6 oz`
 */
export function gramsText(grams: number): string {
  if (useSettings().imperial) return ouncesText(grams / G_PER_OZ)
  const rounded =
    grams < 0.95
      ? Math.round(grams * 100) / 100
      : grams < 10
        ? Math.round(grams * 10) / 10
        : grams < 100
          ? Math.round(grams)
          : Math.round(grams / 5) * 5
  return `${String(rounded).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202F')} g`
}

/**
 * Packages to buy, the same ones counted.
 *
 * @param sizes of the packages, g, in the order in which they are told
 * @returns such as `2 × 500 g + 1 × 200 g`; a line breaks only between packages
 */
export function packagesText(sizes: readonly number[]): string {
  return [...new Set(sizes)]
    .map(size => `${sizes.filter(one => one === size).length} × ${gramsText(size)}`.replaceAll(' ', '\u00A0'))
    .join(' + ')
}

function ouncesText(ounces: number): string {
  if (ounces < 1) return `${Math.round(ounces * 100) / 100} oz`
  const whole = Math.floor((ounces + 0.05) / OZ_PER_LB)
  const rest = Math.round((ounces - whole * OZ_PER_LB) * 10) / 10
  if (whole === 0) return `${rest} oz`
  return rest > 0 ? `${whole} lb ${rest} oz` : `${whole} lb`
}

/**
 * A temperature typed in the units of the house.
 *
 * @param degrees °C or °F
 * @returns °C
 */
export function celsiusOfHouse(degrees: number): number {
  return useSettings().imperial ? (degrees - 32) / 1.8 : degrees
}

/**
 * A temperature in the units of the house.
 *
 * @param celsius °C
 * @returns such as `143 °C`, or `289 °F`
 */
export function degreesText(celsius: number): string {
  return `${Math.round(degreesOfHouse(celsius))} ${useSettings().imperial ? '°F' : '°C'}`
}

/**
 * A temperature as a number in the units of the house.
 *
 * @param celsius °C
 * @returns °C or °F
 */
export function degreesOfHouse(celsius: number): number {
  return useSettings().imperial ? celsius * 9 / 5 + 32 : celsius
}

/**
 * A weight as a number in the units of the house.
 *
 * @param grams g
 * @returns g or oz
 */
export function gramsOfHouse(grams: number): number {
  return useSettings().imperial ? grams / G_PER_OZ : grams
}

/**
 * A day, short.
 *
 * @param ms ms since 1970
 * @returns such as `12 Jun`
 */
export function dayText(ms: number): string {
  return inHouseTime(ms, DAY)
}

/**
 * A calendar day that belongs to no moment, such as the last one of a package.
 *
 * @param day days since 1970-01-01
 * @param withYear true where it may be another year's
 * @returns such as `12 Jun`, or `12 Jun 2028`
 */
export function calendarDayText(day: number, withYear = false): string {
  return localText(wallMs(dateOfDay(day), NOON_MIN, 'utc'), 'utc', withYear ? { ...DAY, year: 'numeric' } : DAY)
}

/**
 * Time of day, in the zone and the clock of the house.
 *
 * @param ms ms since 1970
 * @returns such as `19:42`, or `7:42 pm`
 */
export function timeOfDay(ms: number): string {
  return inHouseTime(ms, useSettings().clock === '24' ? HOUR : HOUR_12)
}

const MM_PER_INCH = 25.4

/**
 * A length as a ruler reads it, in the units of the house.
 *
 * @param mm mm
 * @returns such as `4.2 cm`, `18 mm` below two centimetres, or `1.7 in`
 */
export function lengthText(mm: number): string {
  if (useSettings().imperial) return `${Math.round(mm / MM_PER_INCH * 10) / 10} in`
  return mm < 20 ? `${Math.round(mm)} mm` : `${Math.round(mm) / 10} cm`
}

/**
 * A moment near today, with its day where that is another one.
 *
 * @param ms ms since 1970
 * @param nowMs the hearth's time
 * @returns such as `19:42`, `tomorrow 09:10`, `Sat 28 Nov, 09:10`
 */
export function dateTimeText(ms: number, nowMs: number): string {
  const days = daysApart(ms, nowMs)
  const time = timeOfDay(ms)
  if (days === 0) return time
  if (days === 1) return `tomorrow ${time}`
  return days === -1 ? `yesterday ${time}` : `${weekdayText(ms)}, ${time}`
}

const NEAR_DAYS: ReadonlyMap<number, string> = new Map([[0, 'today'], [1, 'tomorrow'], [-1, 'yesterday']])

/**
 * A day near today.
 *
 * @param ms ms since 1970
 * @param nowMs the hearth's time
 * @returns `today`, `tomorrow`, `yesterday`, or such as `Sat 28 Nov`
 */
export function nearDayText(ms: number, nowMs: number): string {
  const days = daysApart(ms, nowMs)
  return NEAR_DAYS.get(days) ?? weekdayText(ms)
}

function weekdayText(ms: number): string {
  return inHouseTime(ms, WEEKDAY).replace(',', '')
}

function daysApart(ms: number, nowMs: number): number {
  const { zone } = useSettings()
  return dayNumber(ms, zone) - dayNumber(nowMs, zone)
}

/**
 * The day it is in the house.
 *
 * @param nowMs the hearth's time, ms since 1970
 * @returns days since 1970-01-01 by the house's own calendar
 */
export function houseDay(nowMs: number): number {
  return dayNumber(nowMs, useSettings().zone)
}
