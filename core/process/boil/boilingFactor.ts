import { numberAt } from '../../maths/table/itemAt'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { firstBelief } from '../belief/firstBelief'
import { ensembleRecord } from '../engine/record'
import { SIGN } from '../engine/signs'
import { simulate } from '../engine/simulate'
import type { BoilCheck } from './boilCheck'
import { boilProgram } from './boilProgram'

/** A fire gives between so little and so much of what its mark stands for, in the logarithm: past any fire. */
const LEAST = Math.log(0.02)
const MOST = Math.log(50)
/** Halvings of the range: to a part in a thousand. */
const HALVINGS = 14

/**
 * Power that boils a check's water in just the time it took, everything else as first believed, by halving: the more
 * power, the sooner it boils.
 *
 * @param check what was done, as for `readBoilCheck`
 * @returns power over what the mark was taken to stand for, 0.02 to 50
 */
export function boilingFactor(check: BoilCheck): number {
  const program = boilProgram(check)
  const middle = memberValues(beliefColumns(firstBelief()), new Float64Array(MEMBER_NAMES.length), 0)
  let low = LEAST
  let high = MOST
  for (let i = 0; i < HALVINGS; i++) {
    const half = (low + high) / 2
    const record = ensembleRecord(1, 2, program.queries.length, 0)
    simulate(program, { ...middle, mainFire: Math.exp(half) }, record, 0)
    // A flame that never brings it to the boil is too small: its time is no number.
    if (numberAt(record.signs, SIGN.boil) <= check.boilS) high = half
    else low = half
  }
  return Math.exp((low + high) / 2)
}
