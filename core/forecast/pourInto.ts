import { heatCapacity } from './heatCapacity'
import { FAT, HELD, INVERT, NUTS, SOFT, SOLIDS, SUGAR, TEMP, WATER, WETTED } from './layout'

const MOVED = [WATER, SOLIDS, FAT, SUGAR, INVERT, NUTS] as const

/**
 * Pours the whole content of one vessel into another and mixes their heat.
 *
 * @param state flat state, changed in place
 * @param from where the giving vessel's numbers begin
 * @param to where the receiving vessel's numbers begin
 */
export function pourInto(state: Float64Array, from: number, to: number): void {
  const heatFrom = heatCapacity(state, from) * state[from + TEMP]
  const heatTo = heatCapacity(state, to) * state[to + TEMP]
  for (const part of MOVED) {
    state[to + part] += state[from + part]
    state[from + part] = 0
  }
  state[to + HELD] += state[from + HELD]
  state[from + HELD] = 0
  state[to + SOFT] = Math.max(state[to + SOFT], state[from + SOFT])
  state[to + WETTED] += state[from + WETTED]
  state[from + WETTED] = 0
  state[to + TEMP] = (heatFrom + heatTo) / heatCapacity(state, to)
}
