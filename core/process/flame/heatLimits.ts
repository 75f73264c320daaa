import { contentG } from '../engine/contentG'
import { FAT, INVERT, PAN_TEMP, SUGAR, TEMP, type VesselState } from '../engine/layout'
import type { CookPlan } from '../../record/plan/plan'
import type { HeatCaution } from '../../formulation/dish/stageCodes'

/** Smoke point of a fat of which nothing is known, °C: that of unrefined oils (recalled, unchecked). */
export const UNKNOWN_SMOKE_C = 175
/**
 * Sugar caramelises from about 160 °C and is burnt soon after; starch without fat chars from about 220 °C (recalled,
 * unchecked).
 */
const SUGAR_BURNS_C = 160
const DRY_BURNS_C = 220
/**
 * Linings of coated pans give off fumes from about 260 °C; a bare pan beyond this sets fat alight that touches it
 * (recalled, unchecked).
 */
const COATING_C = 260
const BARE_PAN_C = 300
/** So near is too near, K: flames differ from what is believed of them (estimate). */
const NEAR_K = 15
/** Shares of a content from which its fat or its sugar decides, and of all fat from which one of two does. */
const FATTY = 0.02
const SUGARY = 0.1
const SOME = 0.05

/**
 * The lowest smoke point among the fats of a plan.
 *
 * @param plan what goes in
 * @returns °C; null where there is no fat
 */
export function smokePointC(plan: Pick<CookPlan, 'amounts'>): number | null {
  const fats = plan.amounts.flatMap(({ smokeC, massG }) =>
    smokeC !== undefined && massG > 0 ? [{ smokeC, massG }] : [],
  )
  const allG = fats.reduce((sum, one) => sum + one.massG, 0)
  const counted = fats.filter(one => one.massG > SOME * allG).map(one => one.smokeC)
  return counted.length > 0 ? Math.min(...counted) : null
}

/**
 * Which limits a vessel's state comes too near to.
 *
 * @param state the numbers of one vessel
 * @param smokeC smoke point of its fat, °C; null where it has none of its own
 * @param coated whether the pan is coated
 * @returns cautions; none where it stays below them all
 */
export function tooHot(state: VesselState, smokeC: number | null, coated: boolean): HeatCaution[] {
  const massG = contentG(state)
  const [fat, sugar] = [state[FAT] > FATTY * massG, state[SUGAR] + state[INVERT] > SUGARY * massG]
  const smokes = fat ? smokeC ?? UNKNOWN_SMOKE_C : DRY_BURNS_C
  const contentC = massG > 1 ? state[TEMP] : 0
  return [
    ...(contentC > smokes - NEAR_K ? [fat ? 'smoke' as const : 'scorch' as const] : []),
    ...(sugar && contentC > SUGAR_BURNS_C - NEAR_K ? ['scorch' as const] : []),
    ...(state[PAN_TEMP] > (coated ? COATING_C : BARE_PAN_C) - NEAR_K ? ['dry-pan' as const] : []),
  ]
}
