import type { TraySize } from '../scale/request'
import type { Cut, CutTray, KnifeMark, CutPiece, PieceKind, Shift } from './cut'
import { lattice, type Lattice } from './lattice'
import { outlineOf, type Outline } from './outline'
import { placeCut } from './placeCut'

/** So much of a piece's area must be there for a whole piece: nobody sees a hundredth missing (estimate). */
const WHOLE = 0.99
/** From here on a cut piece is served as one, below it is trimmings (estimate). */
const EDGE = 0.35
/** Cells of which less than this is inside are none, share. */
const NOTHING = 1e-6

/**
 * Cuts up a tray: every cell between the marks with what the wall leaves of it, and the marks from wall to wall.
 *
 * @param tray its shape and size, mm
 * @param cut distances and angles
 * @param shift where the marks lie; left out, where most pieces come whole
 * @returns pieces, marks, counts and shares; the shares of all pieces add to one
 * @throws CoreError `out-of-range`
 * @example cutTray({ shape: 'rectangle', widthMm: 200, lengthMm: 160 }, { firstMm: 40, secondMm: 40, turnDeg: 0,
 *   slantDeg: 90 }).whole // 20
 */
export function cutTray(tray: TraySize, cut: Cut, shift: Shift = placeCut(tray, cut)): CutTray {
  const outline = outlineOf(tray)
  const grid = lattice(cut, shift)
  const pieces = cellsOf(outline, grid).flatMap(([i, j]): CutPiece[] => {
    const corners = grid.corners(i, j)
    const share = outline.shared(corners) / grid.areaMm2
    return share > NOTHING ? [{ kind: kindOf(share), corners, share: Math.min(1, share) }] : []
  })
  const of = (kind: PieceKind): readonly CutPiece[] => pieces.filter(one => one.kind === kind)
  const shareOf = (kind: PieceKind): number =>
    (of(kind).reduce((sum, one) => sum + one.share, 0) * grid.areaMm2) / outline.areaMm2
  return {
    shift, pieces, marks: marksOf(outline, grid),
    whole: of('whole').length, edge: of('edge').length, trimmings: of('trimming').length,
    wholeShare: grid.areaMm2 / outline.areaMm2, edgeShare: shareOf('edge'), trimmingShare: shareOf('trimming'),
  }
}

function kindOf(share: number): PieceKind {
  return share >= WHOLE ? 'whole' : share >= EDGE ? 'edge' : 'trimming'
}

/** Least and greatest coordinates that any of the tray reaches. */
function bounds(outline: Outline, grid: Lattice): { i: [number, number], j: [number, number] } {
  const origin = grid.to({ x: 0, y: 0 })
  const [x, y] = [grid.to({ x: 1, y: 0 }), grid.to({ x: 0, y: 1 })]
  const i = outline.reachMm * Math.hypot(x.x - origin.x, y.x - origin.x)
  const j = outline.reachMm * Math.hypot(x.y - origin.y, y.y - origin.y)
  return {
    i: [Math.floor(origin.x - i), Math.ceil(origin.x + i)],
    j: [Math.floor(origin.y - j), Math.ceil(origin.y + j)],
  }
}

function cellsOf(outline: Outline, grid: Lattice): [number, number][] {
  const { i, j } = bounds(outline, grid)
  const cells: [number, number][] = []
  for (let k = i[0]; k < i[1]; k++) for (let l = j[0]; l < j[1]; l++) cells.push([k, l])
  return cells
}

function marksOf(outline: Outline, grid: Lattice): KnifeMark[] {
  const { i, j } = bounds(outline, grid)
  const mark = (set: KnifeMark['set'], at: number): KnifeMark[] => {
    const [from, on] =
      set === 'first'
        ? [grid.from({ x: at, y: 0 }), grid.from({ x: at, y: 1 })]
        : [grid.from({ x: 0, y: at }), grid.from({ x: 1, y: at })]
    const long = Math.hypot(on.x - from.x, on.y - from.y)
    const chord = outline.chord(from, { x: (on.x - from.x) / long, y: (on.y - from.y) / long })
    return chord ? [{ set, from: chord[0], to: chord[1] }] : []
  }
  const range = ([from, to]: [number, number]): number[] => Array.from({ length: to - from + 1 }, (_, k) => from + k)
  return [...range(i).flatMap(at => mark('first', at)), ...range(j).flatMap(at => mark('second', at))]
}
