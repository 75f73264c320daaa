import { scaleLinear, type ScaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import type { Window } from '../../core/maths/random/window'

/** A window of one number at one moment of the clock. */
export interface BandMoment { readonly timeS: number, readonly window: Window }

/** Room around the drawing of a band, drawing units. */
export interface BandRoom {
  readonly width: number
  readonly height: number
  readonly left: number
  readonly top: number
  readonly bottom: number
}

/** A number along a cook: its window as an area, its middle as a line, and the scales of both axes. */
export interface BandChart {
  readonly area: string
  readonly line: string
  /** Place of a moment, min. */
  readonly x: ScaleLinear<number, number>
  /** Whole minutes that are written. */
  readonly minutes: readonly number[]
  /** Place of a value. */
  readonly y: ScaleLinear<number, number>
  /** Values that are written. */
  readonly values: readonly number[]
}

/** A number that hardly moves still has this much room, in its own unit's share. */
const LEAST_SHARE = 0.1

/** A number of minutes has about so much room, drawing units. */
const A_TICK_EVERY = 95

/**
 * Lays a window that moves with the clock out as a chart.
 *
 * @param moments in order of time, at least two; times in s, values in the unit they are shown in
 * @param room drawing units
 * @param from least value that is drawn in any case; the lowest edge of the windows otherwise
 * @returns paths in drawing units, scales and ticks
 */
export function bandChart(moments: readonly BandMoment[], room: BandRoom, from?: number): BandChart {
  const least = from ?? Math.min(...moments.map(one => one.window.early))
  const most = Math.max(...moments.map(one => one.window.late))
  const span = Math.max(most - least, LEAST_SHARE * Math.abs(most), 1e-6)
  const x = scaleLinear([0, (moments.at(-1)?.timeS ?? 60) / 60], [room.left, room.width])
  const y = scaleLinear([least, least + span], [room.height - room.bottom, room.top]).nice(4)
  const across = (one: BandMoment): number => x(one.timeS / 60)
  return {
    area: area<BandMoment>(across, one => y(one.window.early), one => y(one.window.late))(moments) ?? '',
    line: line<BandMoment>(across, one => y(one.window.middle))(moments) ?? '',
    x, y,
    minutes: x.ticks(Math.round(room.width / A_TICK_EVERY)).filter(value => Number.isInteger(value)),
    values: y.ticks(4),
  }
}
