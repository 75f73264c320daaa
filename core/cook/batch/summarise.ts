import { fieldAt, itemAt } from '../../maths/table/itemAt'
import { boundaryIndex } from '../../formulation/dish/boundaryIndex'
import { doneIndex } from '../../formulation/dish/doneIndex'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { COLOUR_STEPS } from '../../formulation/family/family'
import { familyOf } from '../../formulation/family/families'
import type { Forecast } from '../../record/plan/forecast'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { momentsOf } from './momentsOf'
import { stonesOf } from './stones'
import type { BatchSummary } from './summary'

/**
 * What a finished batch keeps: its stones as they went and as they were planned, key times, weights, faults. The middle
 * run is conditioned on everything that was marked.
 *
 * @param plan the plan, with the forecast it was cooked under
 * @param cook the finished cook
 * @param forecast of its end, conditioned on everything that was marked
 * @returns the summary
 */
export function summarise(plan: CookPlan, cook: LiveCook, forecast: Forecast): BatchSummary {
  const keystone = boundaryIndex(plan.dish, plan.dish.keystone)
  const end = endOf(plan, cook)
  const keystoneS = cook.stageStarts[keystone] ?? itemAt(forecast.stages, keystone).middle
  const endS = end ?? itemAt(forecast.stages, doneIndex(plan.dish)).middle
  const planned = plan.forecast
  const weighing = lastWeighing(plan, cook)
  return {
    stones: stonesOf(forecast, keystoneS, Math.max(endS, keystoneS + 60)),
    plannedStones: planned ? plannedStones(plan, planned, keystone) : [],
    keystoneS: itemAt(cook.stageStarts, keystone),
    endS: end,
    plannedKeystoneS: planned?.stages[keystone]?.middle ?? null,
    plannedEndS: planned?.stages[doneIndex(plan.dish)]?.middle ?? null,
    plannedKeystoneWindow: windowAt(planned, keystone),
    plannedEndWindow: windowAt(planned, doneIndex(plan.dish)),
    moments: momentsOf(plan, cook),
    baseG: plan.amounts.find(one => one.id === plan.dish.base)?.massG ?? 0,
    finishedG: weighing ?? (Number.isFinite(forecast.finishedG.middle) ? forecast.finishedG.middle : null),
    plannedFinishedG: planned?.finishedG.middle ?? null,
    weighed: weighing !== null,
    // Nobody saw a colour that was only remembered to have been right.
    darkestStep: cook.fromMemory && !sawColour(cook) ? null : darkestStep(plan, forecast, keystoneS),
    faults: cook.outcome?.faults ?? [],
    line: cook.outcome?.line ?? '',
  }
}

function endOf(plan: CookPlan, cook: LiveCook): number | null {
  return cook.stageStarts[doneIndex(plan.dish)] ?? cook.offFireS ?? cook.finishedS
}

function windowAt(forecast: Forecast | null, stage: number): [number, number] | null {
  return forecast ? [itemAt(forecast.stages, stage).early, itemAt(forecast.stages, stage).late] : null
}

function plannedStones(plan: CookPlan, forecast: Forecast, keystone: number) {
  return stonesOf(
    forecast,
    itemAt(forecast.stages, keystone).middle,
    itemAt(forecast.stages, doneIndex(plan.dish)).middle,
  )
}

function lastWeighing(plan: CookPlan, cook: LiveCook): number | null {
  const main = mainVessel(plan.dish)
  const from = cook.stageStarts[doneIndex(plan.dish)] ?? cook.offFireS ?? cook.finishedS
  if (from === null) return null
  const last = cook.weighings.filter(one => one.what.vessel === main && one.timeS >= from - 60).at(-1)
  return last ? last.what.grossG - fieldAt(plan.vessels, main).vessel.massG : null
}

function sawColour(cook: LiveCook): boolean {
  return cook.looks.length > 0 || cook.signs.some(one => COLOUR_STEPS.some(step => step === one.what))
}

/** The darkest step the roast's middle run had reached as the liquid went in. */
function darkestStep(plan: CookPlan, forecast: Forecast, keystoneS: number): string | null {
  const { stepLightness, fresh } = familyOf(plan.dish.family)
  if (fresh) return null
  const last = forecast.points.filter(point => point.timeS <= keystoneS + 4).at(-1)
  if (!last) return null
  return COLOUR_STEPS.filter(step => last.colour.lightness <= stepLightness[step]).at(-1) ?? null
}
