import { itemAt, numberAt } from '../../maths/table/itemAt'
import { MEMBER_NAMES } from '../belief/memberValues'
import { finish } from '../../finish'
import { drawnEvenly } from '../../maths/random/drawnEvenly'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import { fewMarks } from '../../record/replay/fewMarks'
import type { LiveCook } from '../../record/marks/liveCook'
import { replay } from '../../record/replay/replay'
import { compileProgram } from '../program/compileProgram'
import { conditionSteps, marksOf, type ConditionedEnsemble } from '../ensemble/conditionEnsemble'
import type { Forecast, Reweighed } from '../../record/plan/forecast'
import { logLikelihoods } from '../ensemble/logLikelihoods'
import { effectiveMembers, normalisedWeights } from '../ensemble/normalisedWeights'
import type { Program } from '../engine/program'
import { readForecast, readReweighed } from './readForecast'
import { runEnsemble } from '../ensemble/runEnsemble'

/** Runs that are kept so that the next mark can be answered at once. */
export interface StoredRuns {
  readonly plan: CookPlan
  readonly cook: LiveCook
  readonly program: Program
  readonly ensemble: ConditionedEnsemble
  /** What was read out of them, once it was. */
  readonly forecast?: Forecast | undefined
}

/**
 * So many of them are run again for a first answer: enough for its windows, few enough for a tenth of a second on a
 * slow device.
 */
const FEW = 40
/** Fewer effective members than this, and stored runs are not trusted with an answer. */
const TOO_FEW = 12

/**
 * Runs an ensemble under what has happened, and keeps it.
 *
 * @param plan the plan
 * @param observations everything marked
 * @param nowS how far the cook is, s since its start
 * @param members size of the ensemble, 20 to 100 000
 * @returns the runs, from which `forecastOfRuns` reads
 * @throws CoreError where plan and observations name something that is not there
 */
export function storeRuns(
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  members: number,
): StoredRuns {
  return finish(storeRunsSteps(plan, observations, nowS, members))
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
export function* storeRunsSteps(
  plan: CookPlan,
  observations: readonly Observation[],
  nowS: number,
  members: number,
): Generator<void, StoredRuns> {
  const cook = fewMarks(replay(plan, observations))
  const program = compileProgram(plan, cook, nowS)
  const ensemble = yield* conditionSteps(program, plan.belief, plan.seed, members, marksOf(plan, cook, program))
  return { plan, cook, program, ensemble }
}

/**
 * The forecast of kept runs.
 *
 * @param standing from `storeRuns`
 * @returns the forecast
 */
export function forecastOfRuns({ plan, cook, program, ensemble }: StoredRuns): Forecast {
  return readForecast(plan, cook, program, ensemble)
}

/**
 * A first answer to a mark, from stored runs: weighed anew where the mark leaves the runs as they are, else the
 * likeliest of them run again under it.
 *
 * @param standing runs of the same plan, with the forecast read out of them
 * @param observations everything marked
 * @param nowS how far the cook is, s
 * @returns what moves at once; null where too few runs are near what was marked
 */
export function reweighed(standing: StoredRuns, observations: readonly Observation[], nowS: number): Reweighed | null {
  const cook = replay(standing.plan, observations)
  return runsAlike(cook, standing.cook) ? weighedAnew(standing, cook, nowS) : runAgain(standing, cook, nowS)
}

function weighedAnew(standing: StoredRuns, cook: LiveCook, nowS: number): Reweighed | null {
  const { plan, ensemble } = standing
  const program: Program = { ...standing.program, nowS }
  const logs = logLikelihoods(plan, cook, program, ensemble.record)
  const { logCorrection } = ensemble
  const weights = normalisedWeights(logCorrection ? logs.map((log, i) => log + numberAt(logCorrection, i)) : logs)
  const effective = effectiveMembers(weights)
  return effective < TOO_FEW
    ? null
    : readReweighed(plan, cook, program, { ...ensemble, weights, effective }, standing.forecast?.sides ?? [])
}

/**
 * A few members, drawn evenly by their weights (systematic resampling), run under what was marked. Each was drawn for
 * how well it explains the marks before; what it is weighed by is how much better or worse it explains all of them now.
 */
function runAgain(standing: StoredRuns, cook: LiveCook, nowS: number): Reweighed | null {
  const { plan, ensemble } = standing
  const parents = drawnEvenly(ensemble.weights, FEW)
  const size = MEMBER_NAMES.length
  const normals = new Float64Array(FEW * size)
  parents.forEach((parent, i) => normals.set(ensemble.normals.subarray(parent * size, (parent + 1) * size), i * size))
  const program = compileProgram(plan, cook, nowS)
  const record = runEnsemble(program, ensemble.columns, normals)
  const before = logLikelihoods(plan, standing.cook, standing.program, ensemble.record)
  const weights = normalisedWeights(
    logLikelihoods(plan, cook, program, record).map((log, i) => log - itemAt(before, itemAt(parents, i))),
  )
  const effective = effectiveMembers(weights)
  return effective < TOO_FEW
    ? null
    : readReweighed(plan, cook, program, { record, weights, effective }, standing.forecast?.sides ?? [])
}

/** True where two cooks differ in signs and looks alone: runs under the one are runs under the other. */
function runsAlike(a: LiveCook, b: LiveCook): boolean {
  const same = (of: (cook: LiveCook) => unknown): boolean => JSON.stringify(of(a)) === JSON.stringify(of(b))
  return same(cook => [
    cook.stage,
    cook.stageStarts,
    cook.controls,
    cook.lit,
    cook.offFireS,
    cook.finishedS,
    cook.weighings,
    cook.temperatures,
    cook.depths,
    cook.changes,
    cook.forgotten,
    cook.keptBack,
    cook.restPoured,
    cook.releases,
  ])
}
