import { constant } from '../../materials/constants/constants'
import type { Stage } from '../../formulation/dish/dish'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import { WANTED_W } from './guessFlames'
import type { CookPlan } from './plan'

/** Minutes grow with the square root of the mass, and shrink with the flame to this power (estimates). */
const MASS_POWER = constant('massPower')
const FLAME_POWER = constant('flamePower')
/** Stages whose minutes follow neither mass nor flame. */
const FIXED = new Set(['rest', 'wait', 'pour', 'press', 'set', 'shape', 'prepare'])

/**
 * The middle of a stage's usual time for this amount and this flame.
 *
 * @param plan amounts, fires and flames; its dish names the usual minutes
 * @param stage one of its stages
 * @returns s
 */
export function usualSeconds(plan: Pick<CookPlan, 'dish' | 'amounts' | 'fires' | 'flames'>, stage: Stage): number {
  const seconds = usualMinutes(plan.dish, stage) * 60
  if (FIXED.has(stage.does)) return seconds
  const base = plan.amounts.find(one => one.id === plan.dish.base)
  const mass = base ? (base.massG / plan.dish.usual.baseG) ** MASS_POWER : 1
  return seconds * mass * flameFactor(plan, stage)
}

function flameFactor(plan: Pick<CookPlan, 'fires' | 'flames'>, stage: Stage): number {
  if (stage.flame === 'off') return 1
  const mark = plan.fires[stage.vessel]?.marks.find(one => one.id === plan.flames[stage.id])
  return mark ? (WANTED_W[stage.flame] / mark.watts) ** FLAME_POWER : 1
}
