import type { SetsBy } from '../../process/cooling/settingOf'
import { setsTo } from '../../materials/syrup/setsTo'
import { STRONGEST, WEAKEST } from '../../materials/syrup/syrup'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { airPressurePa } from '../../materials/water/airPressurePa'
import type { CookPlan } from '../../record/plan/plan'
import type { FinishedMass } from './finishedMass'

/** A mass without a syrup leaves the fire about so warm, °C (estimate: near the boil of its own water). */
export const LEAVES_AT_C = 95

function strength({ contents }: FinishedMass): number {
  const { sugarG, waterG } = contents
  return sugarG > 0 ? Math.min(STRONGEST, Math.max(WEAKEST, sugarG / (sugarG + waterG))) : WEAKEST
}

/**
 * What makes a finished mass hold its shape: its syrup where the dish boils one, by the strength it has come to; else
 * its fat and what has swollen.
 *
 * @param plan the plan
 * @param mass what was made
 * @returns what it sets by
 */
export function setsByOf(plan: CookPlan, mass: FinishedMass): SetsBy {
  if (plan.dish.choices?.sugar !== 'syrup') return 'fat'
  const sets = setsTo(strength(mass))
  return sets === 'runs' || sets === 'sticky' ? 'fat' : sets
}

/**
 * How warm it is as it is spread.
 *
 * @param plan the plan
 * @param mass what was made
 * @returns °C
 */
export function startTempC(plan: CookPlan, mass: FinishedMass): number {
  return plan.dish.choices?.sugar === 'syrup'
    ? Math.min(130, syrupAtShare(strength(mass), mass.invertShare, airPressurePa(plan.altitudeM)).boilsAtC)
    : LEAVES_AT_C
}
