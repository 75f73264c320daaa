import { usableCount } from './usableCount'

/** A household measure as the core needs it. */
export interface MeasureSize {
  readonly id: string
  readonly name: string
  readonly volumeMl: number
}

/** An amount read in one household measure. */
export interface MeasuredAmount {
  readonly measure: string
  readonly name: string
  /** Exact count of measures. */
  readonly exact: number
  /** Count that can be filled by eye, and how it is written. */
  readonly count: number
  readonly text: string
  /** How far the usable count is from the exact one, as a share of it. */
  readonly error: number
}

/** Less than this share of a measure is read in a smaller one. */
const LEAST_SHARE = 0.24

/**
 * Reads a volume in the biggest of the household's measures of which it is at least a quarter.
 *
 * @param volumeMl volume in ml, zero or more
 * @param measures what the household owns, any order, at least one
 * @returns the reading; for less than the smallest measure's quarter a count of zero, to be said as a pinch
 * @example inMeasures(270, [{ id: 'glass', name: 'glass', volumeMl: 180 }]) // 1½ glass
 */
export function inMeasures(volumeMl: number, measures: readonly MeasureSize[]): MeasuredAmount {
  const falling = [...measures].sort((p, q) => q.volumeMl - p.volumeMl)
  const measure = falling.find(one => volumeMl >= LEAST_SHARE * one.volumeMl) ?? falling[falling.length - 1]
  const exact = volumeMl / measure.volumeMl
  const { count, text } = usableCount(exact)
  return { measure: measure.id, name: measure.name, exact, count, text, error: exact > 0 ? Math.abs(count - exact) / exact : 0 }
}
