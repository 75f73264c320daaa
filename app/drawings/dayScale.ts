import { scaleUtc, type ScaleTime } from 'd3-scale'
import { utcHour, utcMinute } from 'd3-time'

/** A stretch of the clock in which something goes on, minutes. */
export interface Stretch { readonly from: number, readonly to: number }

/** The clock of a day with long empty stretches drawn short. */
export interface DayScale {
  /** Place of a minute. */
  x(minute: number): number
  /** Minute at a place, whole. */
  minute(x: number): number
  /** Stretches drawn short. */
  readonly gaps: readonly Stretch[]
  /** The same for an axis: the clock on the wall as if it were universal time, ms. */
  readonly axis: ScaleTime<number, number>
  /** Minutes at which a line and a time stand. */
  readonly ticks: readonly number[]
  readonly from: number
  readonly to: number
}

/** Empty for longer than this is drawn as a gap of this width; the clock begins and ends a little outside, minutes. */
const GAP_MIN = 75
const GAP_WIDTH = 46
const AROUND_MIN = 8
const MINUTE_MS = 60_000
/** Steps of the clock, how long each is, min, and the least room for a time, drawing units. */
const STEPS = [
  [10, utcMinute.every(10)],
  [15, utcMinute.every(15)],
  [30, utcMinute.every(30)],
  [60, utcHour.every(1)],
  [120, utcHour.every(2)],
  [240, utcHour.every(4)],
  [480, utcHour.every(8)],
] as const
const LEAST_ROOM = 64

/**
 * The clock of a day.
 *
 * @param busy stretches in which something goes on, minutes, in any order
 * @param left left edge, drawing units
 * @param right right edge
 */
export function dayScale(busy: readonly Stretch[], left: number, right: number): DayScale {
  const merged = mergedOf(busy)
  const first = merged[0] ?? { from: 0, to: 60 }
  const last = merged.at(-1) ?? first
  const gaps: Stretch[] = []
  for (let i = 0; i + 1 < merged.length; i++)
    if (merged[i + 1]!.from - merged[i]!.to > GAP_MIN)
      gaps.push({ from: merged[i]!.to + AROUND_MIN, to: merged[i + 1]!.from - AROUND_MIN })
  const from = first.from - AROUND_MIN
  const to = last.to + AROUND_MIN
  const minutes = to - from - gaps.reduce((sum, gap) => sum + gap.to - gap.from, 0)
  const room = Math.max(50, right - left - gaps.length * GAP_WIDTH)
  const perMinute = room / Math.max(1, minutes)
  const domain = [from]
  const range = [left]
  for (const gap of gaps) {
    const start = range.at(-1)! + (gap.from - domain.at(-1)!) * perMinute
    domain.push(gap.from, gap.to)
    range.push(start, start + GAP_WIDTH)
  }
  domain.push(to)
  range.push(right)
  const axis = scaleUtc(domain.map(minute => minute * MINUTE_MS), range).clamp(true)
  const [, every] = STEPS.find(([long]) => long * perMinute >= LEAST_ROOM) ?? STEPS.at(-1)!
  const ticks = (every ? axis.ticks(every) : [])
    .map(at => Number(at) / MINUTE_MS)
    .filter(minute => !gaps.some(gap => minute > gap.from && minute < gap.to))
  for (const stretch of merged)
    if (!ticks.some(tick => tick >= stretch.from - AROUND_MIN && tick <= stretch.to + AROUND_MIN))
      ticks.push(stretch.from)
  return {
    x: minute => axis(minute * MINUTE_MS),
    minute: x => Math.round(Number(axis.invert(x)) / MINUTE_MS),
    axis,
    gaps,
    ticks,
    from,
    to,
  }
}

function mergedOf(busy: readonly Stretch[]): Stretch[] {
  const merged: { from: number, to: number }[] = []
  for (const stretch of [...busy].sort((a, b) => a.from - b.from)) {
    const last = merged.at(-1)
    if (last && stretch.from <= last.to + GAP_MIN) last.to = Math.max(last.to, stretch.to)
    else merged.push({ ...stretch })
  }
  return merged
}
