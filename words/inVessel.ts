import type { CookPlan } from '../core/live/plan'

/**
 * What goes into a vessel with a stage, in weights.
 *
 * @param plan amounts
 * @param stage id of the stage
 * @param grams how weights are said in this house
 * @returns such as `1 050 g water, 265 g sugar`; nothing where nothing goes in
 */
export function inVesselText(plan: Pick<CookPlan, 'dish' | 'amounts'>, stage: string, grams: (massG: number) => string): string {
  const adds = plan.dish.stages.find(one => one.id === stage)?.adds ?? []
  return adds.flatMap(({ ingredient, share }) => {
    const amount = plan.amounts.find(one => one.id === ingredient)
    return amount ? [`${grams(amount.massG * share)} ${ingredient.replaceAll('-', ' ')}`] : []
  }).join(', ')
}
