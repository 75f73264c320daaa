import { numberAt } from '../../maths/table/itemAt'
import { beliefColumns, MEMBER_NAMES, type BeliefColumns } from '../belief/memberValues'
import type { Belief } from '../../materials/belief/belief'
import type { CookPlan } from '../../record/plan/plan'
import type { LiveCook } from '../../record/marks/liveCook'
import { finish } from '../../finish'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import { logLikelihoods, residualsOf, type Residuals } from './logLikelihoods'
import { effectiveMembers, normalisedWeights } from './normalisedWeights'
import type { Program } from '../engine/program'
import { proposeMembers } from './proposeMembers'
import { joinedRecords, type EnsembleRecord } from '../engine/record'
import { ensembleSteps } from './runEnsemble'
import type { Trace, TracePoint } from '../engine/trace'

/** An ensemble weighed by everything that was marked. */
export interface ConditionedEnsemble {
  readonly columns: BeliefColumns
  readonly normals: Float64Array
  readonly record: EnsembleRecord
  readonly weights: Float64Array
  readonly effective: number
  /** What is added to a member's log likelihood because it was not drawn from the belief; null where it was. */
  readonly logCorrection: Float64Array | null
  /** Moments of the only member, where there is but one. */
  readonly trace: readonly TracePoint[] | null
}

/** Below this share of effective members a second ensemble is drawn where the weights lie. */
const ENOUGH = 0.5
const MOST_ROUNDS = 2
/** A first look at where the weights lie takes at least so many members. */
const LEAST_SCOUTS = 200
/** So few members are an outline by which changes are read: they are weighed, but no better ones are drawn. */
export const OUTLINE_MEMBERS = 16
/** Points of an outline stand this far apart, s. */
export const OUTLINE_EVERY_S = 30

/** What was marked, as an ensemble's record is held against it. */
export interface WeighedMarks {
  /** Natural logarithm of each member's likelihood, up to a constant. */
  logLikelihoods(record: EnsembleRecord): Float64Array
  /** The same marks as residuals in standard deviations. */
  residuals(record: EnsembleRecord): Residuals
}

/**
 * Draws an ensemble from the plan's belief, runs it under what has happened, and weighs it by what was marked.
 *
 * @param plan the plan, with belief and seed
 * @param cook the replayed cook
 * @param program from `compileProgram`
 * @param members how many, to 100 000; up to 16 are an outline only, and a single one is the middle of the belief
 * @returns the ensemble with its weights
 */
export function conditionEnsemble(
  plan: CookPlan,
  cook: LiveCook,
  program: Program,
  members: number,
): ConditionedEnsemble {
  return conditionProgram(program, plan.belief, plan.seed, members, marksOf(plan, cook, program))
}

/**
 * What was marked in a cook.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param program from `compileProgram`
 * @returns the marks
 */
export function marksOf(plan: CookPlan, cook: LiveCook, program: Program): WeighedMarks {
  return {
    logLikelihoods: record => logLikelihoods(plan, cook, program, record),
    residuals: record => residualsOf(plan, cook, program, record),
  }
}

/**
 * The same for any program and anything that was marked of it.
 *
 * @param program what is run
 * @param belief what is believed before the marks
 * @param seed seed of the drawing
 * @param members how many, as in `conditionEnsemble`
 * @param marks what was marked
 * @returns the ensemble with its weights
 */
export function conditionProgram(
  program: Program,
  belief: Belief,
  seed: number,
  members: number,
  marks: WeighedMarks,
): ConditionedEnsemble {
  return finish(conditionSteps(program, belief, seed, members, marks))
}

/**
 * The same in steps, so that something more urgent can be done between them.
 *
 * @param program what is run
 * @param belief what is believed before the marks
 * @param seed seed of the drawing
 * @param members how many
 * @param marks what was marked
 * @returns yields while it works; returns the ensemble with its weights
 */
export function* conditionSteps(
  program: Program,
  belief: Belief,
  seed: number,
  members: number,
  marks: WeighedMarks,
): Generator<void, ConditionedEnsemble> {
  const columns = beliefColumns(belief)
  const blank = new Float64Array(members * MEMBER_NAMES.length)
  let normals = members === 1 ? blank : fillNormal(blank, seededRandom(seed))
  const trace: Trace | undefined = members === 1 ? { everyS: OUTLINE_EVERY_S, points: [] } : undefined
  // Enough of them to say where better ones lie; the rest run where none better are needed.
  const scouts = Math.min(members, Math.max(LEAST_SCOUTS, Math.ceil(members / 2)))
  let record = yield* ensembleSteps(program, columns, normals.subarray(0, scouts * MEMBER_NAMES.length), trace)
  let weights = normalisedWeights(marks.logLikelihoods(record))
  let logCorrection: Float64Array | null = null
  if (scouts < members && effectiveMembers(weights) >= ENOUGH * scouts) {
    record = joinedRecords(
      record,
      yield* ensembleSteps(program, columns, normals.subarray(scouts * MEMBER_NAMES.length)),
    )
    weights = normalisedWeights(marks.logLikelihoods(record))
  }
  for (
    let round = 1;
    round <= MOST_ROUNDS && members > OUTLINE_MEMBERS && effectiveMembers(weights) < ENOUGH * record.members;
    round++
  ) {
    const proposal = proposeMembers(
      normals.subarray(0, record.members * MEMBER_NAMES.length),
      weights,
      marks.residuals(record),
      members,
      seed + 7919 * round,
    )
    normals = proposal.normals
    logCorrection = proposal.logCorrection
    record = yield* ensembleSteps(program, columns, normals)
    const logs = marks.logLikelihoods(record)
    weights = normalisedWeights(logs.map((log, i) => log + numberAt(proposal.logCorrection, i)))
  }
  return {
    columns,
    normals,
    record,
    weights,
    effective: effectiveMembers(weights),
    logCorrection,
    trace: trace?.points ?? null,
  }
}
