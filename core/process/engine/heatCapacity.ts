import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { FAT, INVERT, NUTS, SOLIDS, SUGAR, WATER, type VesselState } from './layout'

/**
 * Heat capacity of a vessel's content.
 *
 * @param state the numbers of one vessel
 * @returns J/K; at least 1, so that an empty pan can be stepped
 */
export function heatCapacity(state: VesselState): number {
  const sum = SPECIFIC_HEAT.water * state[WATER] + SPECIFIC_HEAT.solids * state[SOLIDS]
    + SPECIFIC_HEAT.fat * state[FAT] + SPECIFIC_HEAT.sugar * (state[SUGAR] + state[INVERT])
    + SPECIFIC_HEAT.nuts * state[NUTS]
  return sum > 1 ? sum : 1
}
