import { heatCapacity } from './heatCapacity'
import { FAT, HELD, INVERT, NUTS, SOFT, SOLIDS, SUGAR, TEMP, WATER, WETTED } from './layout'

const MOVED = [WATER, SOLIDS, FAT, SUGAR, INVERT, NUTS, HELD, WETTED] as const

/**
 * Pours the content of one vessel, or a share of it, into another and mixes their heat.
 *
 * @param state flat state, changed in place
 * @param from where the giving vessel's numbers begin
 * @param to where the receiving vessel's numbers begin
 * @param share how much of it, 0 to 1
 */
export function pourInto(state: Float64Array, from: number, to: number, share = 1): void {
  const heatFrom = share * heatCapacity(state, from) * state[from + TEMP]
  const heatTo = heatCapacity(state, to) * state[to + TEMP]
  for (const part of MOVED) {
    state[to + part] += share * state[from + part]
    state[from + part] *= 1 - share
  }
  state[to + SOFT] = Math.max(state[to + SOFT], state[from + SOFT])
  state[to + TEMP] = (heatFrom + heatTo) / heatCapacity(state, to)
}
