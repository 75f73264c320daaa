import type { Evidence } from '../../materials/belief/reading'
import { evidenceOf } from '../../process/learning/evidenceOf'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { compileProgram } from '../../process/program/compileProgram'
import { conditionEnsemble } from '../../process/ensemble/conditionEnsemble'
import { readForecast } from '../../process/forecast/readForecast'
import { isMarkKind, MARK_KINDS } from '../../record/marks/kinds'
import { fewMarks } from '../../record/replay/fewMarks'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { blendEvidence } from '../../process/learning/blendEvidence'
import { minutesEvidence } from '../../process/learning/learnedMinutes'
import { summarise } from './summarise'
import type { BatchSummary } from './summary'
import { drawnPlan } from './thinPlan'

const MEMBERS = 300
/**
 * What is not known after the last mark is simulated for so long and no longer, s: a finish may be forgotten for days.
 */
const MOST_UNKNOWN_S = 2 * 3600

/** What remains of a finished cook: its summary, and what it says of the lasting numbers. */
export interface SettledCook { readonly summary: BatchSummary, readonly evidence: readonly Evidence[] }

/**
 * Settles a finished cook: one ensemble, conditioned on everything that was marked, gives both. It takes about as long
 * for any cook: marks are thinned out beyond some hundreds of a kind, and a finish that was forgotten is not simulated
 * for days.
 *
 * @param plan the plan, with the forecast it was cooked under
 * @param observations all of its observations
 * @returns summary and evidence
 */
export function settleCook(plan: CookPlan, observations: readonly Observation[]): SettledCook {
  const cook = fewMarks(replay(plan, observations))
  const saying = cook.moments.filter(
    moment => moment.known && !moment.withdrawn && isMarkKind(moment.kind) && MARK_KINDS[moment.kind].ofPan,
  )
  const lastS = saying.reduce((last, moment) => Math.max(last, moment.timeS), 0)
  const endS = Math.min(cook.finishedS ?? cook.offFireS ?? lastS, lastS + MOST_UNKNOWN_S)
  const program = compileProgram(plan, cook, endS)
  const ensemble = conditionEnsemble(plan, cook, program, MEMBERS)
  const onScale = cook.weighings.some(one => one.what.vessel === mainVessel(plan.dish))
  return {
    summary: summarise(drawnPlan(plan), cook, readForecast(plan, cook, program, ensemble)),
    evidence: [...evidenceOf(plan, ensemble, onScale), ...minutesEvidence(plan, cook), ...blendEvidence(plan, cook)],
  }
}
