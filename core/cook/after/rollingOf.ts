import { formOf } from '../../formulation/dish/forms'
import { constant } from '../../materials/constants/constants'
import { rollingSpan, type RollingSpan } from '../../process/cooling/rollingSpan'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { firstBelief } from '../../process/belief/firstBelief'
import type { CookPlan } from '../../record/plan/plan'
import type { FinishedMass } from './finishedMass'
import { LEAVES_AT_C } from './setsBy'

/**
 * When a finished mass can be rolled, s since it was finished: a dish of balls is finished hand-warm, any other leaves
 * the fire hot.
 *
 * @param plan the plan, for its vessel, its room and what it believes of losses
 * @param mass what was made
 * @returns the span; null where the vessel is not known
 * @throws CoreError `out-of-range` for a room or a loss that can be none
 */
export function rollingOf(plan: CookPlan, mass: FinishedMass): RollingSpan | null {
  const vessel = plan.vessels[mainVessel(plan.dish)]?.vessel
  if (!vessel) return null
  const lossOf = (entries: CookPlan['belief']['entries']): number | undefined =>
    entries.find(one => one.name === 'heatLoss')?.median
  const lossW = lossOf(plan.belief.entries) ?? lossOf(firstBelief().entries) ?? Number.NaN
  return rollingSpan(
    mass.contents,
    vessel,
    formOf(plan.dish).shapedBy === 'hands' ? constant('handWarm') : LEAVES_AT_C,
    plan.airC,
    lossW,
  )
}
