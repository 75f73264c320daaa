import { numberAt } from '../../maths/table/itemAt'
import type { MemberValues } from '../belief/memberValues'
import type { Program } from '../engine/program'
import { ensembleRecord } from '../engine/record'
import { ROAST_SIGNS, SIGN, SIGNS } from '../engine/signs'
import { simulate } from '../engine/simulate'

/** How a roast goes on if nobody ends it, s since the start of the cook. */
export interface LeftAlone {
  /** When the wanted colour shows, and when the aroma did. */
  readonly fromS: number
  readonly aromaS: number
  /** From the wanted colour to brown, s. */
  readonly lastsS: number
}

/**
 * Lets the last roast to a colour run on to brown in one member.
 *
 * @param program the cook
 * @param member uncertain numbers
 * @returns how long one may turn away; null where no roast to a colour is to come, or brown never does
 */
export function leftAlone(program: Program, member: MemberValues): LeftAlone | null {
  const k = program.stages.findLastIndex(
    stage => stage.sign !== null && ROAST_SIGNS.includes(stage.sign) && stage.watches.includes(SIGN.brown),
  )
  const roast = program.stages[k]
  if (!roast || roast.sign === null || roast.sign >= SIGN.brown) return null
  const next = program.stages[k + 1]
  if (next && next.startS !== null) return null
  const alone: Program = { ...program, stages: [...program.stages.slice(0, k), { ...roast, sign: SIGN.brown }] }
  const record = ensembleRecord(1, alone.stages.length, alone.queries.length, alone.sides.length)
  simulate(alone, member, record, 0)
  const fromS = numberAt(record.signs, roast.sign)
  const lastsS = numberAt(record.signs, SIGNS.indexOf('brown')) - fromS
  return Number.isFinite(lastsS) ? { fromS, aromaS: numberAt(record.signs, SIGN.aroma), lastsS } : null
}
