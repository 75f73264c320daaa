import type { Evidence } from '../belief/evidence'
import { evidenceOf } from '../belief/evidenceOf'
import { mainVessel } from '../dish/mainVessel'
import { compileProgram } from '../forecast/compileProgram'
import { conditionEnsemble } from '../forecast/conditionEnsemble'
import { readForecast } from '../forecast/readForecast'
import type { Observation } from '../live/observation'
import type { CookPlan } from '../live/plan'
import { replay } from '../live/replay'
import { blendEvidence } from '../usual/blendEvidence'
import { minutesEvidence } from '../usual/learnedMinutes'
import { summarise } from './summarise'
import type { BatchSummary } from './summary'

const MEMBERS = 300

/** What remains of a finished cook: its summary, and what it says of the lasting numbers. */
export interface SettledCook { readonly summary: BatchSummary, readonly evidence: readonly Evidence[] }

/**
 * Settles a finished cook: one ensemble, conditioned on everything that was marked, gives both.
 *
 * @param plan the plan, with the forecast it was cooked under
 * @param observations all of its observations
 * @returns summary and evidence
 */
export function settleCook(plan: CookPlan, observations: readonly Observation[]): SettledCook {
  const cook = replay(plan, observations)
  const endS = cook.finishedS ?? cook.offFireS ?? Math.max(0, ...cook.moments.map(moment => moment.timeS))
  const program = compileProgram(plan, cook, endS)
  const ensemble = conditionEnsemble(plan, cook, program, MEMBERS)
  const onScale = cook.weighings.some(one => one.what.vessel === mainVessel(plan.dish))
  return { summary: summarise(plan, cook, readForecast(plan, cook, program, ensemble)), evidence: [...evidenceOf(plan, ensemble, onScale), ...minutesEvidence(plan, cook), ...blendEvidence(plan, cook)] }
}
