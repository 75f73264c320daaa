import { combineReadings } from '../belief/combineReadings'
import { constant } from '../constants/constants'
import type { Correction } from './correction'
import type { Ingredient } from './ingredient'

/** What is believed of how a food lies in a vessel. */
export interface DensityBelief {
  /** g/ml: middle, and one standard deviation of its natural logarithm for one vessel filled on another day. */
  readonly middle: number
  readonly spread: number
  /** Weighings it rests on. */
  readonly weighings: number
}

/**
 * How far a table's density is off a household's own bag and way of filling, and how alike two fillings are, in the
 * logarithm.
 */
const TABLE = constant('densityTable')
const FILLED = constant('densityFilled')
const SCALE_G = constant('scaleG')

/**
 * The density of a food as this household fills its vessels: the table's, moved by every vessel it has weighed. An odd
 * weighing counts little, and an old one less.
 *
 * @param row of the table, without corrections
 * @param correction what the household knows of it; a `bulkDensity` without weighings counts as one of a glass
 * @param nowMs ms since 1970, by which weighings age; undefined lets none age
 * @returns the belief; the table's middle without weighings
 */
export function densityOf(
  row: Pick<Ingredient, 'bulkDensity'>,
  correction: Pick<Correction, 'bulkDensity' | 'weighings'> | undefined,
  nowMs?: number,
): DensityBelief {
  const readings = [
    ...(correction?.bulkDensity === undefined
      ? []
      : [{ value: Math.log(correction.bulkDensity), variance: FILLED ** 2, when: undefined }]),
    ...(correction?.weighings ?? []).map(one => ({
      value: Math.log(one.massG / one.volumeMl),
      variance: FILLED ** 2 + (SCALE_G / one.massG) ** 2,
      when: one.at,
    })),
  ]
  const first = {
    name: 'density',
    median: row.bulkDensity,
    spread: Math.hypot(TABLE, FILLED),
    kind: 'factor' as const,
    unit: 'g/ml',
    basis: 'table',
    restsOn: [],
  }
  const moved = combineReadings(
    first,
    readings.map((one, i) => ({ ...one, name: 'density', of: 'density', batch: String(i) })),
    nowMs,
  )
  return { middle: moved.median, spread: moved.spread, weighings: readings.length }
}
