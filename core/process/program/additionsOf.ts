import { isAlike, secondBases } from '../../formulation/dish/basesOf'
import type { Stage } from '../../formulation/dish/dish'
import { familyOf } from '../../formulation/family/families'
import type { CookPlan } from '../../record/plan/plan'
import type { Addition } from '../engine/program'

/**
 * What goes into a vessel as a stage begins.
 *
 * @param plan amounts with their composition
 * @param stage whose additions
 * @returns masses, g; what the plan has no amount of is left out
 */
export function additionsOf(plan: Pick<CookPlan, 'dish' | 'amounts'>, stage: Pick<Stage, 'adds'>): Addition[] {
  return stage.adds.flatMap(({ ingredient, share }) => {
    const amount = plan.amounts.find(one => one.id === ingredient)
    if (!amount) return []
    const { composition } = amount
    const massG = amount.massG * share
    const soakedG = (amount.soakedG ?? 0) * share
    const second = secondBases(plan.dish).find(one => one.id === ingredient)
    // Pulp that comes to a grain is its liquid: what it brings is not held yet.
    const base = ingredient === plan.dish.base || (second !== undefined && isAlike(plan.dish, second))
    const invert = composition.invert ?? 0
    return [{
      water: massG * composition.water + soakedG,
      solids: massG * composition.solids,
      fat: massG * composition.fat,
      sugar: massG * (composition.sugar - invert),
      invert: massG * invert,
      nuts: massG * composition.nuts,
      base,
      dry: base && soakedG === 0 && !familyOf(second?.asBase.family ?? plan.dish.family).fresh,
    }]
  })
}
