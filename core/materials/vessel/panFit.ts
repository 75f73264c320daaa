import { constant } from '../constants/constants'
import { capacityMl } from './capacityMl'
import { depthMm } from './depthMm'

/** How a content at its greatest stands in a pan. */
export interface PanFit {
  readonly verdict: 'roomy' | 'fits' | 'tight' | 'too-small'
  /** Depth of the content at its greatest, bubbling, mm. */
  readonly depthMm: number
  /** Share of the pan's volume. */
  readonly share: number
  /** How many lots would stand well in it. */
  readonly lots: number
}

/** Bubbling lifts a mass by a sixth (estimate). */
export const BUBBLING = constant('bubbling')
/** Above three quarters there is no room to stir (estimate). */
export const ROOM_TO_STIR = constant('roomToStir')
const ROOMY = 0.5

/**
 * Whether a pan holds a dish at its greatest volume, swollen and bubbling, with room to stir.
 *
 * @param greatestMl greatest volume of the content, ml, from the forecast
 * @param pan inner diameter and depth in mm
 * @returns verdict, depth and number of lots
 */
export function panFit(
  greatestMl: number,
  pan: { readonly innerDiameterMm: number, readonly depthMm: number },
): PanFit {
  const bubbling = greatestMl * BUBBLING
  const share = bubbling / capacityMl(pan)
  const verdict = share <= ROOMY ? 'roomy' : share <= ROOM_TO_STIR ? 'fits' : share <= 0.92 ? 'tight' : 'too-small'
  return {
    verdict,
    depthMm: depthMm(bubbling, pan.innerDiameterMm),
    share,
    lots: Math.max(1, Math.ceil(share / ROOM_TO_STIR)),
  }
}
