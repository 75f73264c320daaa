import { constant } from '../constants/constants'
import type { CookPlan } from '../live/plan'
import type { Durations } from './day'

/** Ingredient that can be boiled down from milk at home, the milk, and the step that does it. */
export const THICKENED = { ingredient: 'khoya', from: 'milk', step: 'khoya' } as const
/** Milk for a gram of it: it is about a fifth of the milk's weight (household yields; the user's own are seen when it is weighed). */
export const MILK_PER_THICKENED = 5
/** Milk with its solids, J/(g·K): 87.5 % of it is water. */
const MILK_HEAT = 0.875 * constant('specificHeatWater') + 0.125 * constant('specificHeatSolids')
/** From the cold room to the boil, K. */
const TO_BOIL_K = 92
/** Of the power that reaches the pan, what its wall and surface lose to the room while milk boils (estimate). */
const LOST = 0.12
/** How far stirring, width of the pan and the last stiff minutes move it, one standard deviation of the logarithm (estimate). */
const WAYS = 0.15
/** 90th percentile of a normal distribution in standard deviations. */
const P90 = 1.2816

/**
 * Minutes in which milk boils down to a weight of thickened milk on the middle mark of the fire under the pan, by the
 * energy it takes to heat the milk and to boil its water off. Its spread is that of the fire.
 *
 * @param thickenedG wanted, g; more than 0
 * @param plan of the cook it is for: its fire and what is believed of it
 * @returns 10th, 50th and 90th percentile, whole minutes
 * @example thickenedSpan(100, plan) // [25, 38, 58] with 400 g of water to boil off on a fire not checked yet
 */
export function thickenedSpan(thickenedG: number, plan: Pick<CookPlan, 'fires' | 'belief'>): Durations {
  const marks = plan.fires.pan?.marks ?? Object.values(plan.fires)[0]!.marks
  const fire = plan.belief.entries.find(entry => entry.name === 'mainFire')
  const watts = marks[Math.floor(marks.length / 2)]!.watts * (fire?.median ?? 1)
  const milkG = MILK_PER_THICKENED * thickenedG
  const joules = milkG * MILK_HEAT * TO_BOIL_K + (milkG - thickenedG) * constant('latentHeat')
  const minutes = joules / (watts * (1 - LOST)) / 60
  const wide = Math.exp(P90 * Math.hypot(fire?.spread ?? 0, WAYS))
  return [Math.max(1, Math.floor(minutes / wide)), Math.max(1, Math.round(minutes)), Math.max(1, Math.ceil(minutes * wide))]
}

/** Thickened milk a cook takes, g; 0 where it takes none. */
export function thickenedG(plan: Pick<CookPlan, 'amounts'>): number {
  return plan.amounts.filter(one => one.ingredient === THICKENED.ingredient).reduce((sum, one) => sum + one.massG, 0)
}
