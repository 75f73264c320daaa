import type { Point, Polygon } from '../../maths/geometry/point'
import { requireRange } from '../../requireRange'
import { LEAST_CUT_MM, MOST_CUT_MM, type Cut, type Shift } from './cut'

/** The marks of a cut as coordinates: every whole number is a mark, every unit square a cell. */
export interface Lattice {
  /** Coordinates of a point of the tray. */
  to(point: Point): Point
  /** The point of the tray at coordinates. */
  from(cell: Point): Point
  /** Corners of the cell whose least coordinates are given. */
  corners(i: number, j: number): Polygon
  /** Area of a cell, mm². */
  readonly areaMm2: number
}

/**
 * Lays the marks of a cut over the plane.
 *
 * @param cut distances 8 to 300 mm, turn −90 to 90°, slant 20 to 160°
 * @param shift of both sets, as shares of their distances
 * @returns the lattice
 * @throws CoreError `out-of-range`
 */
export function lattice(cut: Cut, shift: Shift): Lattice {
  requireRange('lattice.firstMm', cut.firstMm, LEAST_CUT_MM, MOST_CUT_MM)
  requireRange('lattice.secondMm', cut.secondMm, LEAST_CUT_MM, MOST_CUT_MM)
  requireRange('lattice.turnDeg', cut.turnDeg, -90, 90)
  requireRange('lattice.slantDeg', cut.slantDeg, 20, 160)
  const turn = cut.turnDeg * Math.PI / 180
  const slant = cut.slantDeg * Math.PI / 180
  // Square to both sets of marks.
  const first = { x: -Math.sin(turn), y: Math.cos(turn) }
  const second = { x: -Math.sin(turn + slant), y: Math.cos(turn + slant) }
  const det = first.x * second.y - first.y * second.x
  const from = (cell: Point): Point => {
    const u = (cell.x + shift.first) * cut.firstMm
    const v = (cell.y + shift.second) * cut.secondMm
    return { x: (u * second.y - v * first.y) / det, y: (v * first.x - u * second.x) / det }
  }
  return {
    to: point => ({
      x: (point.x * first.x + point.y * first.y) / cut.firstMm - shift.first,
      y: (point.x * second.x + point.y * second.y) / cut.secondMm - shift.second,
    }),
    from,
    corners: (i, j) => [
      from({ x: i, y: j }),
      from({ x: i + 1, y: j }),
      from({ x: i + 1, y: j + 1 }),
      from({ x: i, y: j + 1 }),
    ],
    areaMm2: cut.firstMm * cut.secondMm / Math.sin(slant),
  }
}
