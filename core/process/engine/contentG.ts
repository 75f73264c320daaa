import { FAT, INVERT, NUTS, SOLIDS, SUGAR, WATER } from './layout'

/**
 * Weight of what is in a vessel.
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @returns g, without the vessel itself
 */
export function contentG(state: Float64Array, at: number): number {
  return (
    state[at + WATER] + state[at + SOLIDS] + state[at + FAT] + state[at + SUGAR] + state[at + INVERT] + state[at + NUTS]
  )
}
