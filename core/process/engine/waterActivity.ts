import { sorptionWaterActivity } from '../../materials/water/sorptionWaterActivity'
import { sugarWaterActivity } from '../../materials/water/sugarWaterActivity'
import { INVERT, SOLIDS, SUGAR, TEMP, WATER, type VesselState } from './layout'

/**
 * Water activity of a content: what its dry solids give the water, times what its sugars give it (Ross 1975, recalled,
 * unchecked: activities of independent solutes multiply).
 *
 * @param state the numbers of one vessel
 * @returns in [0, 1]; 1 without solids and sugar, 0 without water
 */
export function waterActivity(state: VesselState): number {
  const water = state[WATER]
  if (!(water > 0)) return 0
  const solids = state[SOLIDS]
  const bound = solids > 0 && water < 2 * solids ? sorptionWaterActivity(water / solids, state[TEMP]) : 1
  return bound * sugarWaterActivity(state[SUGAR], state[INVERT], water, state[TEMP])
}
