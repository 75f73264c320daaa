import { scaleLinear } from 'd3-scale'

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
  /** Minutes at which a line and a time stand. */
  readonly ticks: readonly number[]
  readonly from: number
  readonly to: number
}

/** Empty for longer than this is drawn as a gap of this width; the clock begins and ends a little outside, minutes. */
const GAP_MIN = 75
const GAP_WIDTH = 46
const AROUND_MIN = 8
/** Steps of the clock in minutes, and the least room for a time, drawing units. */
const STEPS = [10, 15, 30, 60, 120, 240] as const
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
  for (let i = 0; i + 1 < merged.length; i++) if (merged[i + 1]!.from - merged[i]!.to > GAP_MIN) gaps.push({ from: merged[i]!.to + AROUND_MIN, to: merged[i + 1]!.from - AROUND_MIN })
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
  const scale = scaleLinear(domain, range).clamp(true)
  const step = STEPS.find(one => one * perMinute >= LEAST_ROOM) ?? 480
  const ticks: number[] = []
  for (let minute = Math.ceil(from / step) * step; minute <= to; minute += step) if (!gaps.some(gap => minute > gap.from && minute < gap.to)) ticks.push(minute)
  for (const stretch of merged) if (!ticks.some(tick => tick >= stretch.from - AROUND_MIN && tick <= stretch.to + AROUND_MIN)) ticks.push(stretch.from)
  return { x: minute => scale(minute), minute: x => Math.round(scale.invert(x)), gaps, ticks, from, to }
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
