import type { Point, Polygon } from '../../maths/geometry/point'

/**
 * How a tray is cut: two sets of parallel knife marks. Squares have equal distances at 90°, diamonds equal ones at a
 * slant.
 */
export interface Cut {
  /** Distance between the marks of the first set, square to them, mm, and of the second. */
  readonly firstMm: number
  readonly secondMm: number
  /** Angle of the first set against the tray's width, degrees, −90 to 90. */
  readonly turnDeg: number
  /** Angle between the two sets, degrees, 20 to 160. */
  readonly slantDeg: number
}

/**
 * Where the marks lie: the first set's mark nearest the middle passes so far from it, as a share of its distance;
 * likewise the second's.
 */
export interface Shift { readonly first: number, readonly second: number }

/** What becomes of one cell between the marks. */
export type PieceKind = 'whole' | 'edge' | 'trimming'

/** One cell between the marks. */
export interface CutPiece {
  readonly kind: PieceKind
  /** Its corners before the tray's wall cuts it, mm from the middle. */
  readonly corners: Polygon
  /** How much of a whole piece it is, 0 to 1. */
  readonly share: number
}

/** One knife mark, wall to wall, mm from the middle. */
export interface KnifeMark { readonly set: 'first' | 'second', readonly from: Point, readonly to: Point }

/** A tray cut up. */
export interface CutTray {
  readonly shift: Shift
  readonly pieces: readonly CutPiece[]
  readonly marks: readonly KnifeMark[]
  readonly whole: number
  readonly edge: number
  readonly trimmings: number
  /** Share of the tray's mass in one whole piece, in all edge pieces, in all trimmings. */
  readonly wholeShare: number
  readonly edgeShare: number
  readonly trimmingShare: number
}

/** Least and greatest distance of knife marks, mm. */
export const LEAST_CUT_MM = 8
export const MOST_CUT_MM = 300
/** Sizes are tried in steps of this, mm. */
export const CUT_STEP_MM = 0.5
