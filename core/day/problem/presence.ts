import { itemAt } from '../../maths/table/itemAt'
import type { Day } from './day'

/**
 * How many cooks are there at a minute.
 *
 * @param day the day
 * @param minute of its clock
 * @param cooks of these, by index; all of them where it is absent
 */
export function cooksThere(
  day: Day,
  minute: number,
  cooks: readonly number[] = Array.from({ length: day.cooks }, (_, cook) => cook),
): number {
  return cooks.filter(
    cook =>
      !day.away.some(away => (away.cook === 'all' || away.cook === cook) && away.from <= minute && minute < away.to),
  ).length
}

/** Spans in which no cook is there, minutes, sorted and apart. */
export function nobodyThere(day: Day): [number, number][] {
  const points = [...new Set(day.away.flatMap(away => [away.from, away.to]))].sort((a, b) => a - b)
  const spans: [number, number][] = []
  for (let i = 0; i + 1 < points.length; i++) {
    const gone = (cook: number): boolean =>
      day.away.some(
        away => (away.cook === 'all' || away.cook === cook) && away.from <= itemAt(points, i) && away.to >= itemAt(points, i + 1),
      )
    if (!Array.from({ length: day.cooks }, (_, cook) => cook).every(gone)) continue
    const last = spans.at(-1)
    if (last && last[1] === points[i]) last[1] = itemAt(points, i + 1)
    else spans.push([itemAt(points, i), itemAt(points, i + 1)])
  }
  return spans
}

/** A clock that counts only minutes in which somebody is there. */
export function presentBefore(day: Day): (minute: number) => number {
  const gone = nobodyThere(day)
  return minute => minute - gone.reduce((sum, [from, to]) => sum + Math.max(0, Math.min(to, minute) - from), 0)
}
