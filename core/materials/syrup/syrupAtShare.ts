import { requireRange } from '../../requireRange'
import { saturationTempC } from '../water/saturationTempC'
import { sugarWaterActivity } from '../water/sugarWaterActivity'
import { STRONGEST, WEAKEST, type SyrupAt } from './syrup'

const ROUNDS = 40

/**
 * A syrup of a strength: where it boils and how active its water is.
 *
 * @param share sugar over all, by weight, 0.1 to 0.92
 * @param invertShare share of the sugar that is glucose and fructose, 0 to 1: about 0.09 for jaggery
 * @param airPressurePa pressure of the air, 45 to 110 kPa
 * @returns boiling point, and water activity at 25 °C
 * @throws CoreError `out-of-range`: beyond 92 % the formula is not held against anything
 * @example syrupAtShare(0.8, 0, 101325).boilsAtC // about 112
 */
export function syrupAtShare(share: number, invertShare: number, airPressurePa: number): SyrupAt {
  requireRange('syrupAtShare.share', share, WEAKEST, STRONGEST)
  requireRange('syrupAtShare.invertShare', invertShare, 0, 1)
  requireRange('syrupAtShare.airPressurePa', airPressurePa, 45_000, 110_000)
  const activity = (tempC: number): number =>
    sugarWaterActivity(share * (1 - invertShare), share * invertShare, 1 - share, tempC)
  let boilsAtC = 100
  // The formula's own temperature is the one asked for: halved steps settle it.
  for (let i = 0; i < ROUNDS; i++) boilsAtC = 0.5 * boilsAtC + 0.5 * saturationTempC(airPressurePa / activity(boilsAtC))
  return { share, invertShare, boilsAtC, activity: activity(25) }
}
