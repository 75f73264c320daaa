import { heatCapacity } from './heatCapacity'
import { FAT, HELD, INVERT, NUTS, SOFT, SOLIDS, SUGAR, TEMP, WATER, WETTED, type VesselState } from './layout'

const MOVED = [WATER, SOLIDS, FAT, SUGAR, INVERT, NUTS, HELD, WETTED] as const

/**
 * Pours the content of one vessel, or a share of it, into another and mixes their heat.
 *
 * @param from the giving vessel, changed in place
 * @param to the receiving vessel, changed in place
 * @param share how much of it, 0 to 1
 */
export function pourInto(from: VesselState, to: VesselState, share = 1): void {
  const heatFrom = share * heatCapacity(from) * from[TEMP]
  const heatTo = heatCapacity(to) * to[TEMP]
  for (const part of MOVED) {
    to[part] += share * from[part]
    from[part] *= 1 - share
  }
  to[SOFT] = Math.max(to[SOFT], from[SOFT])
  to[TEMP] = (heatFrom + heatTo) / heatCapacity(to)
}
