import type { Dish, Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import type { CookPlan, PlanFire } from '../../record/plan/plan'

/** W: where the ladder of marks is taken to stand if a dish lights no fire. */
const ANY_W = 700

/**
 * The power of the mark at which the main fire's factor is believed: that of the roast, or of the first flame where
 * nothing is roasted.
 *
 * @param plan stages, fires and marks
 * @returns W
 */
export function pivotWatts(plan: Pick<CookPlan, 'fires' | 'flames'> & { readonly dish: Pick<Dish, 'stages'> }): number {
  const lit = mainLine(plan.dish).filter(stage => stage.flame !== 'off')
  const stage = lit.find(one => one.does === 'roast') ?? lit[0]
  return stage ? stageWatts(plan, stage) : ANY_W
}

/**
 * The power a stage's mark stands for.
 *
 * @param plan fires and marks
 * @param stage one of its stages
 * @returns W; 700 W where there is no such mark
 */
export function stageWatts(
  plan: { readonly fires: Readonly<Record<string, Pick<PlanFire, 'marks'>>>, readonly flames: CookPlan['flames'] },
  stage: Stage,
): number {
  return plan.fires[stage.vessel]?.marks.find(one => one.id === plan.flames[stage.id])?.watts ?? ANY_W
}
