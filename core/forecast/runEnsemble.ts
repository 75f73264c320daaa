import { memberValues, MEMBER_NAMES, type BeliefColumns } from '../belief/memberValues'
import type { Program } from './program'
import { ensembleRecord, type EnsembleRecord } from './record'
import { simulate } from './simulate'

/**
 * Runs every member of an ensemble.
 *
 * @param program what is to be run
 * @param columns the belief in ensemble order
 * @param normals standard normal numbers, `MEMBER_NAMES.length` for each member
 * @returns what happened in each member, flat
 */
export function runEnsemble(program: Program, columns: BeliefColumns, normals: Float64Array): EnsembleRecord {
  const members = normals.length / MEMBER_NAMES.length
  const record = ensembleRecord(members, program.stages.length, program.queries.length, program.sides.length)
  for (let i = 0; i < members; i++) simulate(program, memberValues(columns, normals, i), record, i)
  return record
}
