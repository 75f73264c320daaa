import { median } from 'd3-array'
import { itemAt } from '../../maths/table/itemAt'

/** How a figure of a dish moves over its batches. */
export interface Trend {
  /** Median slope, of the figure's unit for each day. */
  readonly perDay: number
  /** What it comes to from the first batch to the last. */
  readonly overAll: number
  /** True where the batches show it: Kendall's rank correlation is beyond chance at one in twenty. */
  readonly shown: boolean
}

/** One batch's figure. */
export interface TrendPoint { readonly at: number, readonly value: number }

const DAY_MS = 86_400_000
/** Fewer batches than this show nothing. */
const LEAST = 5
/** Normal deviate of a two-sided chance of one in twenty. */
const Z = 1.96

/**
 * The trend of a figure over time: the median of all slopes between pairs (Theil 1950, Sen 1968), and whether the ranks
 * go with time more than by chance (Kendall 1938, normal approximation).
 *
 * @param points figures with their moments, ms since 1970, in any order; at most some hundreds
 * @returns the trend, or null below five points
 * @example trendOf([1, 2, 3, 4, 5].map(day => ({ at: day * 86_400_000, value: 10 * day })))!.perDay // 10
 */
export function trendOf(points: readonly TrendPoint[]): Trend | null {
  if (points.length < LEAST) return null
  const sorted = [...points].sort((p, q) => p.at - q.at)
  const slopes: number[] = []
  let score = 0
  sorted.forEach((p, i) => {
    for (const q of sorted.slice(i + 1)) {
      score += Math.sign(q.value - p.value)
      if (q.at > p.at) slopes.push((q.value - p.value) / ((q.at - p.at) / DAY_MS))
    }
  })
  const perDay = median(slopes)
  if (perDay === undefined) return null
  const n = sorted.length
  const spread = Math.sqrt(n * (n - 1) * (2 * n + 5) / 18)
  return {
    perDay,
    overAll: (perDay * (itemAt(sorted, n - 1).at - itemAt(sorted, 0).at)) / DAY_MS,
    shown: (Math.abs(score) - 1) / spread > Z,
  }
}
