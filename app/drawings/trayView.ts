import { curveLinearClosed, line } from 'd3-shape'
import type { CutTray } from '../../core/formulation/tray/cut'
import type { TraySize } from '../../core/formulation/scale/request'

/** One cell of a drawn tray. */
export interface DrawnPiece { readonly kind: 'whole' | 'edge' | 'trimming', readonly outline: string }

/** A knife mark. */
export interface DrawnMark {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  readonly set: 'first' | 'second'
}

/** A tray seen from above, in mm, its long side lying across. */
export interface TrayView {
  readonly viewBox: string
  readonly widthMm: number
  readonly heightMm: number
  readonly round: boolean
  /** Turns what is drawn so that the long side lies across: an SVG transform. */
  readonly turn: string
  /** Wall of the tray before the turn. */
  readonly wall: { readonly x: number, readonly y: number, readonly width: number, readonly height: number }
  readonly pieces: readonly DrawnPiece[]
  readonly marks: readonly DrawnMark[]
}

const outlineOf = line<{ readonly x: number, readonly y: number }>(
  one => one.x,
  one => one.y,
)
  .curve(curveLinearClosed)
  .digits(2)
/** Room round the tray, mm. */
const ROOM = 8

/**
 * A cut tray from above.
 *
 * @param tray its size, mm
 * @param cut up, or null for a bare tray
 * @returns its drawing in mm
 */
export function trayView(tray: TraySize, cut: CutTray | null): TrayView {
  const length = tray.shape === 'round' ? tray.widthMm : tray.lengthMm
  const standing = length > tray.widthMm
  const [across, down] = standing ? [length, tray.widthMm] : [tray.widthMm, length]
  const round = (value: number): number => Math.round(value * 100) / 100
  return {
    viewBox: `${-across / 2 - ROOM} ${-down / 2 - ROOM} ${across + 2 * ROOM} ${down + 2 * ROOM}`,
    widthMm: across + 2 * ROOM,
    heightMm: down + 2 * ROOM,
    round: tray.shape === 'round',
    turn: standing ? 'rotate(90)' : '',
    wall: { x: -tray.widthMm / 2, y: -length / 2, width: tray.widthMm, height: length },
    pieces: (cut?.pieces ?? []).map(({ kind, corners }) => ({ kind, outline: outlineOf(corners) ?? '' })),
    marks: (cut?.marks ?? []).map(({ set, from, to }) => ({
      set,
      x1: round(from.x),
      y1: round(from.y),
      x2: round(to.x),
      y2: round(to.y),
    })),
  }
}
