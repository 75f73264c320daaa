import type { Stage } from '../../formulation/dish/dish'
import { additionsOf } from '../../process/program/additionsOf'
import { graining, type Graining } from '../../materials/syrup/graining'
import { setsTo } from '../../materials/syrup/setsTo'
import type { Sets } from '../../materials/syrup/syrup'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { syrupShareOf } from '../../formulation/dish/syrupShareOf'
import { airPressurePa } from '../../materials/water/airPressurePa'
import type { CookPlan } from '../../record/plan/plan'

/** What a syrup is taken to, by every way it can be told, and what becomes of it. */
export interface SyrupAim {
  readonly vessel: string
  /** Sugar over all, by weight, that the dish wants. */
  readonly share: number
  readonly sets: Sets
  /** What the thermometer reads then, its own error and the altitude in it, °C. */
  readonly tempC: number
  /** What the vessel weighs then, its own weight in it, g; null where its weight is not known. */
  readonly grossG: number | null
  /** Whether sugar may return to grain as it cools to the room. */
  readonly graining: Graining
}

/** Sugar of a syrup in g, and the share of it that is invert sugar. */
export interface SyrupSugar { readonly sugarG: number, readonly invertShare: number }

/**
 * The sugar that goes into a syrup.
 *
 * @param plan the plan
 * @param stage in which it is boiled
 * @returns its sugar; null where none goes in
 */
export function syrupSugar(plan: CookPlan, stage: Stage): SyrupSugar | null {
  const adds = additionsOf(plan, stage)
  const invert = adds.reduce((all, one) => all + one.invert, 0)
  const sugarG = adds.reduce((all, one) => all + one.sugar, 0) + invert
  return sugarG > 0 ? { sugarG, invertShare: invert / sugarG } : null
}

/**
 * What the syrup of a stage is taken to in this house.
 *
 * @param plan the plan, with altitude, room and thermometer
 * @param stage in which it is boiled
 * @returns the aim; null where no sugar is in it
 */
export function syrupAim(plan: CookPlan, stage: Stage): SyrupAim | null {
  const sugar = syrupSugar(plan, stage)
  if (!sugar) return null
  const share = syrupShareOf(plan.dish)
  const tareG = plan.vessels[stage.vessel]?.vessel.massG ?? null
  return {
    vessel: stage.vessel, share, sets: setsTo(share),
    tempC: syrupAtShare(share, sugar.invertShare, airPressurePa(plan.altitudeM)).boilsAtC + (plan.thermometerK ?? 0),
    grossG: tareG === null ? null : tareG + sugar.sugarG / share,
    graining: graining(share, sugar.invertShare, plan.airC),
  }
}
