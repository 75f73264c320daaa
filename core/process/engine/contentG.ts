import { FAT, INVERT, NUTS, SOLIDS, SUGAR, WATER, type VesselState } from './layout'

/**
 * Weight of what is in a vessel.
 *
 * @param state the numbers of one vessel
 * @returns g, without the vessel itself
 */
export function contentG(state: VesselState): number {
  return (
    state[WATER] + state[SOLIDS] + state[FAT] + state[SUGAR] + state[INVERT] + state[NUTS]
  )
}
