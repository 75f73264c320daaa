import type { CookPlan } from '../core/record/plan/plan'
import type { SayAmount } from './saidAmount'

/**
 * What goes into a vessel with a stage, as it is measured.
 *
 * @param plan amounts
 * @param stage id of the stage
 * @param say says an amount of an ingredient
 * @returns such as `4 glasses water · 1 050 g` and `1¼ glasses sugar · 265 g`; none where nothing goes in
 */
export function inVessel(plan: Pick<CookPlan, 'dish' | 'amounts'>, stage: string, say: SayAmount): string[] {
  const adds = plan.dish.stages.find(one => one.id === stage)?.adds ?? []
  return adds.flatMap(({ ingredient, share }) => {
    const amount = plan.amounts.find(one => one.id === ingredient)
    return amount ? [say(amount.ingredient, amount.massG * share)] : []
  })
}
