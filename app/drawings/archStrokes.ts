import type { Stone } from '../../core/cook/batch/summary'
import { archOf, placeOf, type ArchShape, type ArchTimes, type ArchPoint } from './arch'

/** One stone as a thick line along the ring's middle. */
export interface StoneStroke { readonly colour: string, readonly points: readonly ArchPoint[] }

/** An arch as thick lines, quickly drawn in great numbers. */
export interface ArchStrokes {
  readonly ring: readonly ArchPoint[]
  readonly stones: readonly StoneStroke[]
  /** Where stones meet, inner to outer. */
  readonly joints: readonly (readonly [ArchPoint, ArchPoint])[]
  /** Where the keystone's joint runs, inner to outer. */
  readonly keystone: readonly [ArchPoint, ArchPoint]
}

/**
 * Places between two points of a stroke: on an arch of a hundred pixels they leave the round by a quarter of a pixel.
 */
const FINE = 0.05

/**
 * A small arch as strokes: each stone a line along the middle of the ring, to be drawn as thick as the ring.
 *
 * @param shape sizes in drawing units
 * @param stones in time order, s
 * @param times keystone and end, s
 * @param inset moves the ring inwards, drawing units: rings inside one another
 * @returns strokes
 */
export function archStrokes(shape: ArchShape, stones: readonly Stone[], times: ArchTimes, inset = 0): ArchStrokes {
  const arch = archOf(shape)
  const along = (from: number, to: number): ArchPoint[] => {
    const steps = Math.max(1, Math.ceil(Math.abs(to - from) / FINE))
    return Array.from({ length: steps + 1 }, (_, i) => arch.at(from + (to - from) * i / steps, -inset))
  }
  const half = shape.stone / 2
  const across = (place: number): readonly [ArchPoint, ArchPoint] => [
    arch.at(place, -half - inset),
    arch.at(place, half - inset),
  ]
  return {
    ring: along(-1, 1),
    stones: stones.map(stone => ({
      colour: stone.colour,
      points: along(placeOf(stone.fromS, times), placeOf(stone.toS, times)),
    })),
    joints: stones.slice(1).map(stone => across(placeOf(stone.fromS, times))),
    keystone: across(0),
  }
}
