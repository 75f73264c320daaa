import { constant } from '../../materials/constants/constants'
import type { PanContents } from '../../materials/composition/panContents'
import { saturatedShare } from '../../materials/syrup/graining'
import { sorptionWaterActivity } from '../../materials/water/sorptionWaterActivity'
import { sugarWaterActivity } from '../../materials/water/sugarWaterActivity'

/** The temperature that keeping is judged at, °C. */
const ROOM_C = 25
/** Spread of an activity worked out from masses alone, either way (estimate). */
const SPREAD = constant('activitySpread')
/** A dry sweet takes up water from the room's air: caution takes at least this. */
const DRAWN = constant('drawnFromRoom')
/** Less water than this is none, g. */
const LEAST_G = 1e-6
/** Water over dry solids beyond which they bind no more of it, g/g. */
const BOUND = 2

/**
 * Water activity of a finished sweet at 25 °C: as it comes if all sugar dissolves, and the higher one that caution
 * takes.
 */
export interface ActivityRange { readonly low: number, readonly high: number }

/**
 * Water activity of a finished sweet at 25 °C, by its water, sugars and dry solids: activities of independent solutes
 * multiply (Ross 1975, recalled, unchecked). What makes it a range: sugar beyond saturation may have returned to grain,
 * and then no longer binds water, the masses are estimates, and a
 * dry sweet takes up water from the air.
 *
 * @param contents masses, g
 * @param invertShare part of the sugar that is glucose and fructose, 0 to 1
 * @returns both ends, in [0, 1]
 * @example activityRange({ waterG: 100, sugarG: 207, solidsG: 0, fatG: 0, nutsG: 0 }, 0).high // about 0.86 and the
 *   spread
 */
export function activityRange(contents: PanContents, invertShare: number): ActivityRange {
  const { waterG, solidsG, sugarG } = contents
  if (!(waterG > LEAST_G)) return { low: 0, high: DRAWN }
  const bound = solidsG > 0 && waterG < BOUND * solidsG ? sorptionWaterActivity(waterG / solidsG, ROOM_C) : 1
  const saturated = saturatedShare(ROOM_C)
  const sucrose = sugarG * (1 - invertShare)
  const dissolved = Math.min(sucrose, waterG * saturated / (1 - saturated))
  const of = (sucroseG: number): number => bound * sugarWaterActivity(sucroseG, sugarG * invertShare, waterG, ROOM_C)
  return { low: Math.max(0, of(sucrose) - SPREAD), high: Math.min(1, Math.max(DRAWN, of(dissolved) + SPREAD)) }
}
