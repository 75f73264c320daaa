import { areaInCircle } from '../../maths/geometry/areaInCircle'
import { areaInRectangle } from '../../maths/geometry/areaInRectangle'
import type { Point, Polygon } from '../../maths/geometry/point'
import { requireRange } from '../../requireRange'
import type { TraySize } from '../scale/request'

/** The wall of a tray, its middle at the origin. */
export interface Outline {
  readonly areaMm2: number
  /** Whether a point lies inside or on the wall. */
  holds(point: Point): boolean
  /** Area of a polygon's part inside, mm². */
  shared(polygon: Polygon): number
  /** The part of an endless line inside, from wall to wall; null where it misses. */
  chord(through: Point, direction: Point): readonly [Point, Point] | null
  /** A point no nearer to the middle than any of the tray's, by direction: its reach. */
  readonly reachMm: number
}

/** A hair beyond the wall still counts as on it, mm: cells that end there are whole. */
const ON_WALL_MM = 1e-6

/**
 * The outline of a tray.
 *
 * @param tray round by its width, or a rectangle; 20 to 2000 mm
 * @returns its outline, width along x
 * @throws CoreError `out-of-range`
 */
export function outlineOf(tray: TraySize): Outline {
  requireRange('outlineOf.widthMm', tray.widthMm, 20, 2000)
  requireRange('outlineOf.lengthMm', tray.lengthMm, 20, 2000)
  return tray.shape === 'round' ? roundOutline(tray.widthMm / 2) : rectangleOutline(tray.widthMm, tray.lengthMm)
}

function roundOutline(radius: number): Outline {
  return {
    areaMm2: Math.PI * radius * radius,
    holds: point => Math.hypot(point.x, point.y) <= radius + ON_WALL_MM,
    shared: polygon => areaInCircle(polygon, radius),
    chord(through, direction) {
      const along = through.x * direction.x + through.y * direction.y
      const foot = { x: through.x - along * direction.x, y: through.y - along * direction.y }
      const half = radius * radius - foot.x ** 2 - foot.y ** 2
      return half > 0 ? ends(foot, direction, -Math.sqrt(half), Math.sqrt(half)) : null
    },
    reachMm: radius,
  }
}

function rectangleOutline(width: number, length: number): Outline {
  return {
    areaMm2: width * length,
    holds: point => Math.abs(point.x) <= width / 2 + ON_WALL_MM && Math.abs(point.y) <= length / 2 + ON_WALL_MM,
    shared: polygon => areaInRectangle(polygon, width, length),
    chord(through, direction) {
      const [xFrom, xTo] = within(through.x, direction.x, width / 2)
      const [yFrom, yTo] = within(through.y, direction.y, length / 2)
      const [from, to] = [Math.max(xFrom, yFrom), Math.min(xTo, yTo)]
      return to - from > ON_WALL_MM ? ends(through, direction, from, to) : null
    },
    reachMm: Math.hypot(width, length) / 2,
  }
}

/** Between which steps a line lies between two walls (Liang and Barsky 1984). */
function within(at: number, step: number, half: number): [number, number] {
  if (Math.abs(step) < 1e-12) return Math.abs(at) < half - ON_WALL_MM ? [-Infinity, Infinity] : [0, 0]
  const [p, q] = [(-half - at) / step, (half - at) / step]
  return p < q ? [p, q] : [q, p]
}

function ends(through: Point, direction: Point, from: number, to: number): readonly [Point, Point] {
  const at = (step: number): Point => ({ x: through.x + direction.x * step, y: through.y + direction.y * step })
  return [at(from), at(to)]
}
