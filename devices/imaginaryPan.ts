import { beliefColumns, MEMBER_NAMES, memberValues, type MemberValues } from '../core/process/belief/memberValues'
import { compileProgram } from '../core/process/program/compileProgram'
import { ensembleRecord, type EnsembleRecord } from '../core/process/engine/record'
import { simulate } from '../core/process/engine/simulate'
import type { SignId } from '../core/formulation/signs/signIds'
import { SIGNS } from '../core/process/engine/signs'
import type { Observation } from '../core/record/marks/observation'
import type { CookPlan } from '../core/record/plan/plan'
import { replay } from '../core/record/replay/replay'
import { fillNormal } from '../core/maths/random/fillNormal'
import type { Uniform } from '../core/maths/random/seededRandom'

/**
 * Hidden truths of one imaginary cook, drawn from a plan's belief.
 *
 * @param plan whose belief
 * @param uniform source of chance
 * @returns values nobody but the imaginary pan knows
 */
export function drawTruth(plan: CookPlan, uniform: Uniform): MemberValues {
  const normals = fillNormal(new Float64Array(MEMBER_NAMES.length), uniform)
  return memberValues(beliefColumns(plan.belief), normals, 0)
}

/**
 * What really happens in a cook with hidden truths, given what was done so far.
 *
 * @param plan the plan
 * @param truth from `drawTruth`
 * @param observations what was done
 * @param nowS how far the cook is, s
 * @returns a record of one member
 */
export function runImaginary(
  plan: CookPlan,
  truth: MemberValues,
  observations: readonly Observation[],
  nowS: number,
): EnsembleRecord {
  const program = compileProgram(plan, replay(plan, observations), nowS)
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  simulate(program, truth, record, 0)
  return record
}

/**
 * When a sign shows in a run.
 *
 * @param record of one member
 * @param sign which
 * @returns s since the start; Infinity if it never does
 */
export function signAt(record: EnsembleRecord, sign: SignId): number {
  return record.signs[SIGNS.indexOf(sign)]!
}

