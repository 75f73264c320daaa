import { itemAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { LiveCook } from '../../record/marks/liveCook'
import { normalCdf } from '../../maths/random/normalCdf'
import { clockStart, logRatio, signTime } from './markTimes'
import type { Program } from '../engine/program'
import type { EnsembleRecord } from '../engine/record'
import { SIGNS } from '../engine/signs'

/** Noise of a look in log time, and the share of marks that have nothing to do with the pan. */
const TAP_NOISE = constant('tapNoise')
const STRAY = constant('stray')

/**
 * How well a member explains the signs that were looked for and had not come: asked and answered, or owned up to after
 * a stage was begun too early.
 *
 * @param cook the replayed cook
 * @param program the program the ensemble ran
 * @param record what the ensemble did
 * @param member which one
 * @returns natural logarithm of the likelihood
 */
export function notYetOf(cook: LiveCook, program: Program, record: EnsembleRecord, member: number): number {
  let sum = 0
  const early = pouredEarly(cook, program)
  for (const { sign, timeS } of [
    ...cook.notYet.map(one => ({ sign: SIGNS.indexOf(one.what), timeS: one.timeS })),
    ...(early ? [early] : []),
  ]) {
    if (sign < 0) continue
    const z = logRatio(timeS, signTime(record, member, sign), clockStart(cook, timeS)) / TAP_NOISE
    sum += Math.log(STRAY + (1 - STRAY) * (1 - normalCdf(z)))
  }
  return sum
}

/**
 * The sign (an index into `SIGNS`) that a pour did not wait for, with the moment of the pour; null where nobody said
 * so.
 */
export function pouredEarly(
  cook: LiveCook,
  program: Program,
): { readonly sign: number, readonly timeS: number } | null {
  const slip = cook.slips.find(one => one.what === 'poured-early')
  if (!slip) return null
  for (let k = program.stages.length - 1; k > 0; k--) {
    const began = itemAt(cook.stageStarts, k)
    const { sign } = itemAt(program.stages, k - 1)
    if (began !== null && began <= slip.timeS && itemAt(program.stages, k).from !== null && sign !== null)
      return { sign, timeS: began }
  }
  return null
}
