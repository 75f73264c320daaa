import { numberAt } from '../../maths/table/itemAt'
import type { LiveCook } from '../../record/marks/liveCook'
import type { EnsembleRecord } from '../engine/record'
import { SIGNS } from '../engine/signs'

/** What a mark says of a member, in its own standard deviations. */
export type Residual = (record: EnsembleRecord, member: number) => number

/** When a sign (an index into `SIGNS`) showed in a member, s; Infinity where it never did. */
export function signTime(record: EnsembleRecord, member: number, sign: number): number {
  return numberAt(record.signs, member * SIGNS.length + sign)
}

/**
 * Log ratio of a marked time to a forecast one, both counted from when the sign's clock began; less than 5 s counts as
 * 5.
 */
export function logRatio(markedS: number, forecastS: number, fromS: number): number {
  return Math.log(Math.max(5, markedS - fromS) / Math.max(5, forecastS - fromS))
}

/** A sign's clock begins with the stage in which it was tapped, s since the start of the cook. */
export function clockStart(cook: LiveCook, timeS: number): number {
  let start = 0
  for (const began of cook.stageStarts) if (began !== null && began < timeS) start = Math.max(start, began)
  return start
}
