import { mainLine } from '../../formulation/dish/mainLine'
import { familyOf } from '../../formulation/family/families'
import { sideStages } from '../../formulation/dish/sideStages'
import type { CookPlan } from '../../record/plan/plan'

/** What a plan's belief depends on. */
export type BelievingPlan = Pick<CookPlan, 'dish' | 'fires' | 'flames'>

/** Power at which a fire's level is kept, W: a middle mark. */
export const LEVEL_W = 700

/**
 * Names of the household's entries that a plan's numbers follow: a fire keeps its own, a dish its own wetness.
 *
 * @param plan dish, fires and flames chosen
 * @returns household names by the plan's names
 */
export function householdNames(plan: BelievingPlan): Record<string, string> {
  const main = mainLine(plan.dish)[0]?.vessel ?? ''
  const other = sideStages(plan.dish)[0]?.vessel
  return {
    browningRate: `browning.${plan.dish.family}`,
    aromaDose: `aroma.${plan.dish.family}`,
    uptake: `uptake.${plan.dish.family}`,
    ...(familyOf(plan.dish.family).fresh ? { softening: `softening.${plan.dish.family}` } : {}),
    kept: `kept.${plan.dish.id}`,
    roastPace: `roast-pace.${plan.dish.id}`,
    wetPace: `wet-pace.${plan.dish.id}`,
    pourTime: 'pour-time',
    heatLoss: 'heat-loss',
    surface: 'surface',
    mainFire: `fire.${plan.fires[main]?.id ?? 'unknown'}`,
    ...(other === undefined ? {} : { otherFire: `fire.${plan.fires[other]?.id ?? 'unknown'}` }),
  }
}
