import { saturationTempC } from '../../materials/water/saturationTempC'
import { waterActivity } from './waterActivity'
import { WATER, type VesselState } from './layout'

/**
 * Temperature at which the water of a content boils: where its activity times the saturation pressure meets the air's.
 *
 * @param state the numbers of one vessel
 * @param airPressure pressure of the air in Pa
 * @returns °C, at most 260; 260 where no water is left
 */
export function boilingTempC(state: VesselState, airPressure: number): number {
  if (!(state[WATER] > 1e-6)) return 260
  const activity = waterActivity(state)
  return activity > 1e-4 ? saturationTempC(airPressure / activity) : 260
}
