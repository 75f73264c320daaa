import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { momentsOf } from './momentsOf'
import type { BatchSummary } from './summary'

/**
 * A summary after something was said that moves no run: notes, how it turned out, what became of it.
 *
 * @param summary as the cook was settled
 * @param plan its plan
 * @param cook replayed anew
 * @returns the summary with its moments, faults and line as they are told now
 */
export function retellBatch(summary: BatchSummary, plan: CookPlan, cook: LiveCook): BatchSummary {
  return {
    ...summary,
    moments: momentsOf(plan, cook),
    faults: cook.outcome?.faults ?? [],
    line: cook.outcome?.line ?? '',
  }
}

/**
 * What is kept of a cook that no run could be made of: what was marked, and nothing forecast.
 *
 * @param plan its plan
 * @param cook replayed, finished
 * @returns a summary without stones
 */
export function bareSummary(plan: CookPlan, cook: LiveCook): BatchSummary {
  const none: BatchSummary = {
    stones: [],
    plannedStones: [],
    keystoneS: null,
    endS: cook.offFireS ?? cook.finishedS,
    plannedKeystoneS: null,
    plannedEndS: null,
    plannedKeystoneWindow: null,
    plannedEndWindow: null,
    moments: [],
    baseG: plan.amounts.find(one => one.id === plan.dish.base)?.massG ?? 0,
    finishedG: null,
    plannedFinishedG: null,
    weighed: false,
    darkestStep: null,
    faults: [],
    line: '',
  }
  return retellBatch(none, plan, cook)
}
