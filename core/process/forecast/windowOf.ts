import { itemAt, numberAt } from '../../maths/table/itemAt'
import { weightedQuantile } from '../../maths/random/weightedQuantile'
import type { Window } from '../../maths/random/window'

const SHARES = [0.1, 0.5, 0.9] as const

/**
 * The window of a number over an ensemble: its weighted 10th, 50th and 90th percentile.
 *
 * @param values one for each member
 * @param weights of the members, adding to one
 * @returns the window, in the unit of the values
 */
export function windowOf(values: ArrayLike<number>, weights: Float64Array): Window {
  const at = weightedQuantile(values, weights, SHARES)
  return { early: itemAt(at, 0), middle: itemAt(at, 1), late: itemAt(at, 2) }
}

/**
 * The window of a moment that not every member comes to.
 *
 * @param times s; Infinity where it never comes
 * @param weights of the members, adding to one
 * @param share of the weight that has to come to it
 * @returns the window over those that do, or null where too few do
 */
export function shownWindow(times: Float64Array, weights: Float64Array, share: number): Window | null {
  let shown = 0
  for (let i = 0; i < times.length; i++)
    if (numberAt(times, i) < Number.POSITIVE_INFINITY) shown += numberAt(weights, i)
  if (shown < share) return null
  return windowOf(times, weights.map((weight, i) => (numberAt(times, i) < Number.POSITIVE_INFINITY ? weight : 0)))
}

/**
 * One column of a record that is kept member after member.
 *
 * @param values the record's numbers
 * @param width numbers for each member
 * @param k which of them
 * @returns one number for each member
 */
export function columnOf(values: Float64Array, width: number, k: number): Float64Array {
  const column = new Float64Array(values.length / width)
  for (let i = 0; i < column.length; i++) column[i] = numberAt(values, i * width + k)
  return column
}
