import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { FAT, INVERT, NUTS, SOLIDS, SUGAR, WATER } from './layout'

/**
 * Heat capacity of a vessel's content.
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @returns J/K; at least 1, so that an empty pan can be stepped
 */
export function heatCapacity(state: Float64Array, at: number): number {
  const sum = SPECIFIC_HEAT.water * state[at + WATER] + SPECIFIC_HEAT.solids * state[at + SOLIDS]
    + SPECIFIC_HEAT.fat * state[at + FAT] + SPECIFIC_HEAT.sugar * (state[at + SUGAR] + state[at + INVERT])
    + SPECIFIC_HEAT.nuts * state[at + NUTS]
  return sum > 1 ? sum : 1
}
