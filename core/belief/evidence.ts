import { mainLine } from '../dish/mainLine'
import { familyOf } from '../family/families'
import { sideStages } from '../dish/sideStages'
import type { CookPlan } from '../live/plan'

/** What one batch or one check says of one lasting number, as a reading of it: value and variance in the belief's own scale. */
export interface Evidence {
  /** Name in the household's belief, such as `fire.front` or `kept.sweet-water-semolina`. */
  readonly name: string
  /** Name of the number in a plan's belief. */
  readonly of: string
  readonly value: number
  readonly variance: number
  /** Batch or check it comes from. */
  readonly batch: string
  /** Of a fire: natural logarithm of the power of the mark over 700 W. */
  readonly ladder?: number | undefined
  /** When it was read, ms since 1970. */
  readonly when?: number | undefined
}

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
