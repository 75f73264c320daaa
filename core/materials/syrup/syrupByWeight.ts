import { requireRange } from '../../requireRange'
import { STRONGEST, WEAKEST } from './syrup'

/**
 * The strength of a syrup by its weight: its sugar stays, its water goes.
 *
 * @param sugarG sugar that went in, g, above zero
 * @param syrupG what it weighs now, without the pan, g
 * @returns sugar over all, by weight
 * @throws CoreError `out-of-range` where that is weaker than 10 or stronger than 92 % sugar
 * @example shareByWeight(400, 500) // 0.8
 */
export function shareByWeight(sugarG: number, syrupG: number): number {
  requireRange('shareByWeight.sugarG', sugarG, 1, 50_000)
  requireRange('shareByWeight.syrupG', syrupG, sugarG / STRONGEST, sugarG / WEAKEST)
  return sugarG / syrupG
}

/**
 * What a syrup of a strength weighs.
 *
 * @param sugarG sugar that went in, g, above zero
 * @param share sugar over all, by weight, 0.1 to 0.92
 * @returns g, without the pan
 * @throws CoreError `out-of-range`
 * @example weightAtShare(400, 0.8) // 500
 */
export function weightAtShare(sugarG: number, share: number): number {
  requireRange('weightAtShare.sugarG', sugarG, 1, 50_000)
  requireRange('weightAtShare.share', share, WEAKEST, STRONGEST)
  return sugarG / share
}
