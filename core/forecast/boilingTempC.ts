import { sorptionWaterActivity } from '../water/sorptionWaterActivity'
import { sucroseWaterActivity } from '../water/sucroseWaterActivity'
import { saturationTempC } from '../water/saturationTempC'
import { SOLIDS, SUGAR, TEMP, WATER } from './layout'

/**
 * Temperature at which the water of a content boils: where its activity times the saturation pressure meets the air's.
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @param airPressure pressure of the air in Pa
 * @returns °C, at most 260; 260 where no water is left
 */
export function boilingTempC(state: Float64Array, at: number, airPressure: number): number {
  const water = state[at + WATER]
  if (!(water > 1e-6)) return 260
  const solids = state[at + SOLIDS]
  const bound = solids > 0 && water < 2 * solids ? sorptionWaterActivity(water / solids, state[at + TEMP]) : 1
  const activity = bound * sucroseWaterActivity(state[at + SUGAR], water)
  return activity > 1e-4 ? saturationTempC(airPressure / activity) : 260
}
