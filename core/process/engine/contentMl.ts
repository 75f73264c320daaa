import { constant } from '../../materials/constants/constants'
import { DENSITY } from '../../materials/composition/partDensity'
import type { BaseNumbers } from './baseNumbers'
import { FAT, HELD, INVERT, NUTS, SOFT, SOLIDS, SUGAR, WATER, type VesselState } from './layout'

/** Water over dry solids at which grain has swollen its voids shut, g/g (estimate). */
const SHUT = constant('swollenShut')

/**
 * Volume of what is in a vessel: the parts side by side, fat and free water filling the voids between grains or pieces
 * first; the voids close as grain swells or tissue softens.
 *
 * @param state the numbers of one vessel
 * @param family voids raw and soft
 * @returns ml, without foam
 */
export function contentMl(state: VesselState, family: BaseNumbers): number {
  const held = state[HELD]
  const solids = state[SOLIDS]
  const grain = solids / DENSITY.solids + held / DENSITY.water
  const between = state[FAT] / DENSITY.fat + (state[WATER] - held) / DENSITY.water
  const sweet = (state[SUGAR] + state[INVERT]) / DENSITY.sugar + state[NUTS] / DENSITY.nuts
  if (!(solids > 0)) return between + grain + sweet
  const closed = family.fresh ? state[SOFT] : Math.min(1, held / (SHUT * solids))
  const air = family.rawAir + (family.softAir - family.rawAir) * closed
  const voids = grain * air / (1 - air)
  return grain + (voids > between ? voids : between) + sweet
}
