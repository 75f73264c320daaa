import { itemAt } from '../../maths/table/itemAt'
import type { Point } from '../../maths/geometry/point'
import type { TraySize } from '../scale/request'
import type { Cut, Shift } from './cut'
import { lattice } from './lattice'
import { outlineOf } from './outline'

/** A piece that lacks no more than this at the wall is whole to the eye, mm (estimate). */
export const SLACK_MM = 0.4
/** So many places are tried for each set, besides the middle and the wall. */
const TRIED = 12

/**
 * Where the marks of a cut lie best: of places on a grid, in the middle and along the walls, the one from which most
 * pieces come whole; the most even one of several.
 *
 * @param tray its shape and size, mm
 * @param cut distances and angles
 * @returns the shift of both sets
 * @throws CoreError `out-of-range`
 */
export function placeCut(tray: TraySize, cut: Cut): Shift {
  const outline = outlineOf({ ...tray, widthMm: tray.widthMm + 2 * SLACK_MM, lengthMm: tray.lengthMm + 2 * SLACK_MM })
  const centred = lattice(cut, { first: 0, second: 0 })
  const corner = tray.shape === 'round' ? { x: 0, y: 0 } : centred.to({ x: -tray.widthMm / 2, y: -tray.lengthMm / 2 })
  const grid = Array.from({ length: TRIED }, (_, k) => k / TRIED)
  const tried = (at: number): number[] => [0, 0.5, at - Math.floor(at), ...grid]
  let best: Shift = { first: 0, second: 0 }
  let most = -1
  for (const first of tried(corner.x)) {
    for (const second of tried(corner.y)) {
      const shift = { first, second }
      const whole = wholeCells(outline.reachMm, outline.holds, cut, shift)
      if (whole > most) [best, most] = [shift, whole]
    }
  }
  return best
}

/** Cells whose corners all lie inside; the tray is convex, so that they are whole. */
function wholeCells(reach: number, holds: (point: Point) => boolean, cut: Cut, shift: Shift): number {
  const { from } = lattice(cut, shift)
  const i = Math.ceil(reach / cut.firstMm) + 1
  const j = Math.ceil(reach / cut.secondMm) + 1
  const inside = Array.from({ length: 2 * i + 1 }, (_, k) =>
    Array.from({ length: 2 * j + 1 }, (__, l) => holds(from({ x: k - i, y: l - j }))),
  )
  let whole = 0
  for (let k = 0; k < 2 * i; k++) {
    for (let l = 0; l < 2 * j; l++)
      if (itemAt(inside, k)[l] && itemAt(inside, k + 1)[l] && itemAt(inside, k + 1)[l + 1] && itemAt(inside, k)[l + 1])
        whole++
  }
  return whole
}
