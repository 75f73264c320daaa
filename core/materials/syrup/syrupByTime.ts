import { constant } from '../constants/constants'
import { requireRange } from '../../requireRange'
import { LATENT_HEAT } from '../water/latentHeat'
import { STRONGEST } from './syrup'

/**
 * Share of the power that goes into vapour once a syrup boils in an open pan: the rest warms the room (estimate, ± 12
 * %).
 */
const INTO_VAPOUR = constant('intoVapour')
const SPREAD = 0.12

/**
 * The strength of a syrup by how long it has boiled: what a power drives off in that time. The least sure of the ways.
 *
 * @param sugarG sugar that went in, g
 * @param waterG water that went in, g
 * @param boiledS how long it has boiled, s
 * @param powerW power into the pan, W, as the boil check gives it
 * @returns likely share of sugar, and the ends of its window; never above 92 %
 * @throws CoreError `out-of-range`
 */
export function shareByTime(
  sugarG: number,
  waterG: number,
  boiledS: number,
  powerW: number,
): { readonly early: number, readonly middle: number, readonly late: number } {
  requireRange('shareByTime.sugarG', sugarG, 1, 50_000)
  requireRange('shareByTime.waterG', waterG, 1, 150_000)
  requireRange('shareByTime.boiledS', boiledS, 0, 20_000)
  requireRange('shareByTime.powerW', powerW, 20, 6000)
  const share = (into: number): number =>
    Math.min(STRONGEST, sugarG / (sugarG + Math.max(0, waterG - (into * powerW * boiledS) / LATENT_HEAT)))
  return {
    early: share(INTO_VAPOUR * (1 - SPREAD)),
    middle: share(INTO_VAPOUR),
    late: share(INTO_VAPOUR * (1 + SPREAD)),
  }
}
