import type { Stage } from '../dish/dish'
import { familyOf } from '../family/families'
import type { CookPlan } from '../live/plan'
import type { Addition } from './program'

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
    const base = ingredient === plan.dish.base
    const invert = composition.invert ?? 0
    return [{
      water: massG * composition.water + soakedG,
      solids: massG * composition.solids,
      fat: massG * composition.fat,
      sugar: massG * (composition.sugar - invert),
      invert: massG * invert,
      nuts: massG * composition.nuts,
      base,
      dry: base && soakedG === 0 && !familyOf(plan.dish.family).fresh,
    }]
  })
}
