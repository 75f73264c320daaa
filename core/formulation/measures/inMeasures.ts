import { lastOf } from '../../maths/table/itemAt'
import { usableBelow, usableCount } from './usableCount'

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
  /** How far the usable amount, rest and all, is from the exact one, as a share of it. */
  readonly error: number
  /** What a smaller measure adds, where one mark alone would be too far off. */
  readonly rest: { readonly name: string, readonly count: number, readonly text: string } | null
}

/** Less than this share of a measure is read in a smaller one. */
const LEAST_SHARE = 0.24
/** A spoon is rather filled a few times than a quarter of the next bigger one. */
const LEAST_OF_SMALLER = 0.45
/** More than this share off, a smaller measure makes up the rest. */
const FAR_OFF = 0.035

/**
 * Reads a volume in the biggest of the household's measures of which it is at least a quarter, or half for the smaller
 * ones.
 *
 * @param volumeMl volume in ml, zero or more
 * @param measures what the household owns, any order, at least one
 * @returns the reading; for less than the smallest measure's quarter a count of zero, to be said as a pinch
 * @example inMeasures(270, [{ id: 'glass', name: 'glass', volumeMl: 180 }]) // 1½ glass
 */
export function inMeasures(volumeMl: number, measures: readonly MeasureSize[]): MeasuredAmount {
  const falling = [...measures].sort((p, q) => q.volumeMl - p.volumeMl)
  const measure =
    falling.find((one, i) => volumeMl >= (i === 0 ? LEAST_SHARE : LEAST_OF_SMALLER) * one.volumeMl)
    ?? lastOf(falling)
  const exact = volumeMl / measure.volumeMl
  const { count, text } = usableCount(exact)
  const error = exact > 0 ? Math.abs(count - exact) / exact : 0
  const plain: MeasuredAmount = { measure: measure.id, name: measure.name, exact, count, text, error, rest: null }
  const smaller = falling.filter(one => one.volumeMl < measure.volumeMl)
  return error > FAR_OFF && smaller.length > 0 ? withRest(plain, measure, smaller, volumeMl) : plain
}

/** The mark below, and whole or half smaller measures on top; only where that is nearer. */
function withRest(
  plain: MeasuredAmount,
  measure: MeasureSize,
  smaller: readonly MeasureSize[],
  volumeMl: number,
): MeasuredAmount {
  const below = usableBelow(plain.exact)
  const left = volumeMl - below.count * measure.volumeMl
  const add = smaller.find(one => left >= 0.75 * one.volumeMl)
  if (!add || below.count === 0) return plain
  const halves = Math.round((2 * left) / add.volumeMl) / 2
  const error = Math.abs(below.count * measure.volumeMl + halves * add.volumeMl - volumeMl) / volumeMl
  if (!(error < plain.error)) return plain
  return {
    ...plain,
    count: below.count,
    text: below.text,
    error,
    rest: { name: add.name, count: halves, text: usableCount(halves).text },
  }
}
