import { evidenceOf, type Evidence } from '../belief/learn'
import { compileProgram } from '../forecast/compileProgram'
import { conditionEnsemble } from '../forecast/conditionEnsemble'
import { covers } from '../forecast/covers'
import { readForecast, timedOnly } from '../forecast/forecastCook'
import type { Observation } from '../live/observation'
import type { CookPlan } from '../live/plan'
import { replay } from '../live/replay'
import { minutesEvidence } from '../usual/learnedMinutes'
import { usualForecast } from '../usual/usualForecast'
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
  const full = replay(plan, observations)
  const minutes = minutesEvidence(plan, full)
  const cook = timedOnly(full)
  const endS = cook.finishedS ?? cook.offFireS ?? Math.max(0, ...cook.moments.map(moment => moment.timeS))
  if (!covers(plan.dish)) return { summary: summarise(plan, full, usualForecast(plan, full, endS, MEMBERS)), evidence: minutes }
  const program = compileProgram(plan, cook, endS)
  const ensemble = conditionEnsemble(plan, cook, program, MEMBERS)
  return { summary: summarise(plan, cook, readForecast(plan, cook, program, ensemble)), evidence: [...evidenceOf(plan, ensemble), ...minutes] }
}
