import { requireRange } from '../../requireRange'
import type { TraySize } from '../scale/request'
import { CUT_STEP_MM, MOST_CUT_MM, type Cut } from './cut'
import { cutTray } from './cutTray'
import { evenCut } from './evenCut'

/**
 * The next larger pieces of a kind of which a tray gives fewer whole ones: one step back from `cutForCount`.
 *
 * @param tray its shape and size, mm
 * @param kind angles, and the distances to start from
 * @param count whole pieces there are now, 1 to 400
 * @returns the cut, evened where it can be, with at least one whole piece; null where there is none
 * @throws CoreError `out-of-range`
 */
export function cutForFewer(tray: TraySize, kind: Cut, count: number): Cut | null {
  requireRange('cutForFewer.count', count, 1, 400)
  const ratio = kind.secondMm / kind.firstMm
  for (
    let firstMm = kind.firstMm + CUT_STEP_MM;
    firstMm <= MOST_CUT_MM && firstMm * ratio <= MOST_CUT_MM;
    firstMm += CUT_STEP_MM
  ) {
    const cut = evenCut(tray, { ...kind, firstMm, secondMm: firstMm * ratio })
    const { whole } = cutTray(tray, cut)
    if (whole < count && whole > 0) return cut
  }
  return null
}
