import { requireRange } from '../../requireRange'
import type { TraySize } from '../scale/request'
import { CUT_STEP_MM, LEAST_CUT_MM, MOST_CUT_MM, type Cut } from './cut'
import { cutTray } from './cutTray'
import { evenCut } from './evenCut'
import { outlineOf } from './outline'

/**
 * The largest pieces of a kind of which a tray gives so many whole ones.
 *
 * @param tray its shape and size, mm
 * @param kind angles, and the distances for their ratio
 * @param count whole pieces wanted, 1 to 400
 * @returns the cut, evened where it can be; null where pieces would be smaller than a knife can cut
 * @throws CoreError `out-of-range`
 */
export function cutForCount(tray: TraySize, kind: Cut, count: number): Cut | null {
  requireRange('cutForCount.count', count, 1, 400)
  const ratio = kind.secondMm / kind.firstMm
  const greatest = Math.sqrt(outlineOf(tray).areaMm2 * Math.sin(kind.slantDeg * Math.PI / 180) / count / ratio)
  for (
    let firstMm = Math.min(greatest + CUT_STEP_MM, 250);
    firstMm >= LEAST_CUT_MM && firstMm * ratio >= LEAST_CUT_MM;
    firstMm -= CUT_STEP_MM
  ) {
    const cut = evenCut(tray, { ...kind, firstMm, secondMm: firstMm * ratio })
    if (
      cut.secondMm <= MOST_CUT_MM
      && cut.firstMm >= LEAST_CUT_MM
      && cut.secondMm >= LEAST_CUT_MM
      && cutTray(tray, cut).whole >= count
    )
      return cut
  }
  return null
}
