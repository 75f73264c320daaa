import { constant } from '../constants/constants'
/** How likely sugar returns to grain as a syrup cools. */
export interface Graining {
  /** Sugar over water, against that of a saturated solution at that temperature: above 1 it can grain. */
  readonly supersaturation: number
  readonly risk: 'none' | 'slow' | 'likely'
  /** What prevents it: codes of `words/`. */
  readonly prevents: readonly ('wash-wall' | 'no-stirring' | 'acid' | 'invert-holds')[]
}

/**
 * Supersaturation above which crystals come by themselves, and share of invert sugar that holds them back (estimates).
 */
const LIKELY = constant('grainsBy')
const INVERT_HOLDS = constant('invertHolds')

/**
 * Solubility of sucrose in water (polynomial after Vavrinecz 1978, recalled, unchecked): about 66.7 % at 20 °C and 83 %
 * at 100 °C.
 *
 * @param tempC 0 to 100 °C
 * @returns sucrose over all of a saturated solution, by weight
 */
export function saturatedShare(tempC: number): number {
  const t = Math.min(100, Math.max(0, tempC))
  return (64.447 + 0.08222 * t + 1.66169e-3 * t * t - 1.558e-6 * t ** 3 - 4.63e-8 * t ** 4) / 100
}

/**
 * The risk that sugar returns to grain.
 *
 * @param share sugar over all of the syrup, by weight, below 1
 * @param invertShare share of the sugar that is glucose and fructose
 * @param tempC temperature it stands at, 0 to 100 °C
 * @returns supersaturation of its sucrose, the risk, and what prevents it
 * @example graining(0.8, 0, 30).risk // 'likely'
 */
export function graining(share: number, invertShare: number, tempC: number): Graining {
  const saturated = saturatedShare(tempC)
  const sucrose = share * (1 - invertShare)
  const supersaturation = sucrose / (1 - share) / (saturated / (1 - saturated))
  const held = invertShare >= INVERT_HOLDS
  const risk = supersaturation <= 1 ? 'none' : supersaturation < LIKELY || held ? 'slow' : 'likely'
  return {
    supersaturation,
    risk,
    prevents: risk === 'none' ? [] : ['wash-wall', 'no-stirring', held ? 'invert-holds' : 'acid'],
  }
}
