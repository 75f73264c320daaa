import { sorptionWaterActivity } from '../../materials/water/sorptionWaterActivity'
import { sugarWaterActivity } from '../../materials/water/sugarWaterActivity'
import { INVERT, SOLIDS, SUGAR, TEMP, WATER } from './layout'

/**
 * Water activity of a content: what its dry solids give the water, times what its sugars give it (Ross 1975, recalled,
 * unchecked: activities of independent solutes multiply).
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @returns in [0, 1]; 1 without solids and sugar, 0 without water
 */
export function waterActivity(state: Float64Array, at: number): number {
  const water = state[at + WATER]
  if (!(water > 0)) return 0
  const solids = state[at + SOLIDS]
  const bound = solids > 0 && water < 2 * solids ? sorptionWaterActivity(water / solids, state[at + TEMP]) : 1
  return bound * sugarWaterActivity(state[at + SUGAR], state[at + INVERT], water, state[at + TEMP])
}
