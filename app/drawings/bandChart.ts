import { path as newPath } from 'd3-path'
import { scaleLinear } from 'd3-scale'
import type { Window } from '../../core/forecast/forecast'

/** A window of one number at one moment of the clock. */
export interface BandMoment { readonly timeS: number, readonly window: Window }

/** Room around the drawing of a band, drawing units. */
export interface BandRoom { readonly width: number, readonly height: number, readonly left: number, readonly top: number, readonly bottom: number }

/** A number along a cook: its window as an area, its middle as a line, both axes. */
export interface BandChart {
  readonly area: string
  readonly line: string
  readonly x: (timeS: number) => number
  /** Whole minutes. */
  readonly minutes: readonly { readonly value: number, readonly x: number }[]
  readonly values: readonly { readonly value: number, readonly y: number }[]
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
 * @returns paths and ticks in drawing units
 */
export function bandChart(moments: readonly BandMoment[], room: BandRoom, from?: number): BandChart {
  const least = from ?? Math.min(...moments.map(one => one.window.early))
  const most = Math.max(...moments.map(one => one.window.late))
  const span = Math.max(most - least, LEAST_SHARE * Math.abs(most), 1e-6)
  const x = scaleLinear([0, moments.at(-1)?.timeS ?? 1], [room.left, room.width])
  const y = scaleLinear([least, least + span], [room.height - room.bottom, room.top]).nice(4)
  const area = newPath()
  const line = newPath()
  moments.forEach(({ timeS, window }, i) => {
    if (i === 0) {
      area.moveTo(x(timeS), y(window.late))
      line.moveTo(x(timeS), y(window.middle))
      return
    }
    area.lineTo(x(timeS), y(window.late))
    line.lineTo(x(timeS), y(window.middle))
  })
  for (const { timeS, window } of [...moments].reverse()) area.lineTo(x(timeS), y(window.early))
  area.closePath()
  const minutes = scaleLinear([0, (moments.at(-1)?.timeS ?? 60) / 60], [0, 1]).ticks(Math.round(room.width / A_TICK_EVERY)).filter(value => Number.isInteger(value))
  return {
    area: area.toString(), line: line.toString(), x,
    minutes: minutes.map(value => ({ value, x: x(60 * value) })),
    values: y.ticks(4).map(value => ({ value, y: y(value) })),
  }
}
