import { FAT, HELD, NUTS, SOLIDS, SUGAR, WATER } from './layout'

/** Densities of the parts of a content, g/ml: handbook values (recalled, unchecked). */
export const DENSITY = { water: 0.98, solids: 1.45, fat: 0.89, sugar: 1.59, nuts: 1.05 } as const
/** Share of a bed of dry grain that is air between the grains (estimate; closes as the grain swells). */
const DRY_VOIDS = 0.42

/**
 * Volume of what is in a vessel: the parts side by side, fat and free water filling the voids of the grain first.
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @returns ml, without foam
 */
export function contentMl(state: Float64Array, at: number): number {
  const held = state[at + HELD]
  const grain = state[at + SOLIDS] / DENSITY.solids + held / DENSITY.water
  const dryShare = state[at + SOLIDS] > 0 ? Math.max(0, 1 - held / (1.5 * state[at + SOLIDS])) : 0
  const voids = grain * DRY_VOIDS / (1 - DRY_VOIDS) * dryShare
  const between = state[at + FAT] / DENSITY.fat + (state[at + WATER] - held) / DENSITY.water
  return grain + Math.max(voids, between) + state[at + SUGAR] / DENSITY.sugar + state[at + NUTS] / DENSITY.nuts
}
