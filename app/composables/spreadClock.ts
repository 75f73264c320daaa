/**
 * Minute of a day's clock for a moment: minutes since local midnight of its eve.
 *
 * @param eve calendar date, ISO 8601
 * @param atMs ms since 1970
 */
export function minuteOf(eve: string, atMs: number): number {
  return Math.floor((atMs - eveMs(eve)) / 60_000)
}

/** Local midnight of a calendar date, ms since 1970. */
export function eveMs(eve: string): number {
  const [year, month, day] = eve.split('-').map(Number)
  return new Date(year!, month! - 1, day!).getTime()
}
