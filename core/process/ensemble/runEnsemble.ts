import { MEMBER_NAMES, memberValues, type BeliefColumns } from '../belief/memberValues'
import { finish } from '../../finish'
import type { Program } from '../engine/program'
import { ensembleRecord, type EnsembleRecord } from '../engine/record'
import { startRun } from '../engine/run'
import { simulateRun } from '../engine/simulate'
import type { Trace } from '../engine/trace'

/**
 * Runs every member of an ensemble; nothing is made anew for each of them.
 *
 * @param program what is to be run
 * @param columns the belief in ensemble order
 * @param normals standard normal numbers, `MEMBER_NAMES.length` for each member
 * @param trace if given, moments of the first member are kept in it
 * @returns what happened in each member, flat
 */
export function runEnsemble(
  program: Program,
  columns: BeliefColumns,
  normals: Float64Array,
  trace?: Trace,
): EnsembleRecord {
  return finish(ensembleSteps(program, columns, normals, trace))
}

/** After so many members something else may be done. */
const PAUSE = 40

/**
 * The same in steps.
 *
 * @param program what is to be run
 * @param columns the belief in ensemble order
 * @param normals standard normal numbers
 * @param trace if given, moments of the first member are kept in it
 * @returns yields every forty members; returns what happened
 */
export function* ensembleSteps(
  program: Program,
  columns: BeliefColumns,
  normals: Float64Array,
  trace?: Trace,
): Generator<void, EnsembleRecord> {
  const members = normals.length / MEMBER_NAMES.length
  const record = ensembleRecord(members, program.stages.length, program.queries.length, program.sides.length)
  const values = memberValues(columns, normals, 0)
  const run = startRun(program, values)
  for (let i = 0; i < members; i++) {
    memberValues(columns, normals, i, values)
    simulateRun(run, values, record, i, i === 0 ? trace : undefined)
    if (i % PAUSE === PAUSE - 1) yield
  }
  return record
}
