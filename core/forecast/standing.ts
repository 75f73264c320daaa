import { finish } from '../finish'
import type { Observation } from '../live/observation'
import type { CookPlan } from '../live/plan'
import type { LiveCook } from '../live/liveCook'
import { replay } from '../live/replay'
import { compileProgram } from './compileProgram'
import { conditionSteps, marksOf, type ConditionedEnsemble } from './conditionEnsemble'
import type { Forecast } from './forecast'
import { logLikelihoods } from './logLikelihoods'
import { effectiveMembers, normalisedWeights } from './normalisedWeights'
import type { Program } from './program'
import { readForecast } from './readForecast'

/** Runs that are kept so that the next mark can be answered at once. */
export interface Standing {
  readonly plan: CookPlan
  readonly cook: LiveCook
  readonly program: Program
  readonly ensemble: ConditionedEnsemble
  /** What was read out of them, once it was: the middle run of a first answer is taken from there. */
  readonly forecast?: Forecast | undefined
}

/** Fewer effective members than this, and stored runs are not trusted with an answer. */
const TOO_FEW = 12

/**
 * Runs an ensemble under what has happened, and keeps it.
 *
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @param members size of the ensemble, 20 to 100 000
 * @returns the runs, from which `standingForecast` reads
 * @throws CoreError where plan and observations name something that is not there
 */
export function stand(plan: CookPlan, observations: readonly Observation[], nowS: number, members: number): Standing {
  return finish(standSteps(plan, observations, nowS, members))
}

/**
 * The same in steps, so that a tap can be answered between them.
 *
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @param members size of the ensemble
 * @returns yields while it works; returns the runs
 */
export function* standSteps(plan: CookPlan, observations: readonly Observation[], nowS: number, members: number): Generator<void, Standing> {
  const cook = replay(plan, observations)
  const program = compileProgram(plan, cook, nowS)
  const ensemble = yield* conditionSteps(program, plan.belief, plan.seed, members, marksOf(plan, cook, program))
  return { plan, cook, program, ensemble }
}

/**
 * The forecast of kept runs.
 *
 * @param standing from `stand`
 * @returns the forecast
 */
export function standingForecast({ plan, cook, program, ensemble }: Standing): Forecast {
  return readForecast(plan, cook, program, ensemble)
}

/**
 * A forecast of stored runs, weighed anew by what was marked since: nothing is run. It is a first answer; windows after it
 * come from runs made under the new mark.
 *
 * @param standing runs of the same plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @returns the forecast; null where what was marked changes the runs themselves (a stage, flame, lid, weighing), or too
 * few of them are near it
 */
export function reweighed(standing: Standing, observations: readonly Observation[], nowS: number): Forecast | null {
  const { plan, ensemble } = standing
  const cook = replay(plan, observations)
  if (!runsAlike(cook, standing.cook)) return null
  const program: Program = { ...standing.program, nowS }
  const logs = logLikelihoods(plan, cook, program, ensemble.record)
  const { logCorrection } = ensemble
  const weights = normalisedWeights(logCorrection ? logs.map((log, i) => log + logCorrection[i]) : logs)
  const effective = effectiveMembers(weights)
  return effective < TOO_FEW ? null : readForecast(plan, cook, program, { ...ensemble, weights, effective }, standing.forecast)
}

/** True where two cooks differ in signs and looks alone: runs under the one are runs under the other. */
function runsAlike(a: LiveCook, b: LiveCook): boolean {
  const same = (of: (cook: LiveCook) => unknown): boolean => JSON.stringify(of(a)) === JSON.stringify(of(b))
  return same(cook => [cook.stage, cook.stageStarts, cook.controls, cook.lit, cook.offFireS, cook.finishedS, cook.weighings, cook.temperatures, cook.depths, cook.changes, cook.forgotten, cook.keptBack, cook.restPoured, cook.releases])
}
