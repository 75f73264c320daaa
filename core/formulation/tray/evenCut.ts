import type { TraySize } from '../scale/request'
import { LEAST_CUT_MM, MOST_CUT_MM, type Cut } from './cut'

/**
 * A cut whose marks come out even: where a set runs along a wall of a rectangle, its distance is changed to the nearest
 * one that divides that side and that a knife can make.
 *
 * @param tray its shape and size, mm
 * @param cut as it was wished
 * @returns the cut; the same where nothing can be evened
 * @example evenCut({ shape: 'rectangle', widthMm: 250, lengthMm: 180 }, { firstMm: 40, secondMm: 40, turnDeg: 0,
 *   slantDeg: 90 }) // 36 and 41.7 mm
 */
export function evenCut(tray: TraySize, cut: Cut): Cut {
  if (tray.shape === 'round') return cut
  const even = (wished: number, angle: number): number => {
    const side = sideAcross(tray, angle)
    return side === null
      ? wished
      : side
          / Math.min(
            Math.floor(side / LEAST_CUT_MM),
            Math.max(Math.ceil(side / MOST_CUT_MM), Math.round(side / wished)),
          )
  }
  return { ...cut, firstMm: even(cut.firstMm, cut.turnDeg), secondMm: even(cut.secondMm, cut.turnDeg + cut.slantDeg) }
}

/** The side that marks at an angle divide, mm, or null where they run slantwise. */
function sideAcross(tray: TraySize, angle: number): number | null {
  const turned = Math.abs(((angle % 180) + 180) % 180)
  if (turned < 1e-6 || turned > 180 - 1e-6) return tray.lengthMm
  return Math.abs(turned - 90) < 1e-6 ? tray.widthMm : null
}
