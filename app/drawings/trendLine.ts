import { extent } from 'd3-array'
import { scaleLinear, type ScaleLinear } from 'd3-scale'
import { line } from 'd3-shape'

/** One batch on a trend. */
export interface TrendDot { readonly id: string, readonly x: number, readonly y: number, readonly faulty: boolean }

/** A figure over the batches of a dish: dots, and an axis of two or three values. */
export interface TrendLine {
  readonly dots: readonly TrendDot[]
  /** From dot to dot. */
  readonly line: string
  /** Place of a value. */
  readonly y: ScaleLinear<number, number>
  /** Values that are written. */
  readonly ticks: readonly number[]
}

/** Room for the values of the axis. */
const TEXT = 64

/**
 * Lays out a figure over time.
 *
 * @param points moment, ms since 1970, and value, in order of time
 * @param width of the drawing
 * @param height of the drawing
 * @returns dots and ticks in drawing units; a figure that hardly moves is drawn in the middle
 */
export function trendLine(
  points: readonly { readonly id: string, readonly at: number, readonly value: number, readonly faulty: boolean }[],
  width: number,
  height: number,
): TrendLine {
  const [least = 0, most = 0] = extent(points, one => one.value)
  const room = Math.max(0.1 * Math.abs(most), (most - least) * 0.15, 1e-6)
  const y = scaleLinear()
    .domain([least - room, most + room])
    .range([height - 4, 4])
  const x = scaleLinear()
    .domain([0, Math.max(1, points.length - 1)])
    .range([8, width - TEXT])
  const dots = points.map((one, i) => ({ id: one.id, x: x(i), y: y(one.value), faulty: one.faulty }))
  return {
    dots,
    line:
      line<TrendDot>(
        one => one.x,
        one => one.y,
      )(dots) ?? '',
    y,
    ticks: points.length > 0 ? y.ticks(2) : [],
  }
}
