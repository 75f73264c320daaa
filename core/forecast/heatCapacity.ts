import { FAT, INVERT, NUTS, SOLIDS, SUGAR, WATER } from './layout'

/** Specific heats near 50 °C in J/(g·K): handbook values (recalled, unchecked); nuts by their usual composition. */
export const SPECIFIC_HEAT = { water: 4.18, solids: 1.55, fat: 2.1, sugar: 1.3, nuts: 1.95 } as const

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
