import { saturationTempC } from '../../materials/water/saturationTempC'
import { waterActivity } from './waterActivity'
import { WATER } from './layout'

/**
 * Temperature at which the water of a content boils: where its activity times the saturation pressure meets the air's.
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @param airPressure pressure of the air in Pa
 * @returns °C, at most 260; 260 where no water is left
 */
export function boilingTempC(state: Float64Array, at: number, airPressure: number): number {
  if (!(state[at + WATER] > 1e-6)) return 260
  const activity = waterActivity(state, at)
  return activity > 1e-4 ? saturationTempC(airPressure / activity) : 260
}
