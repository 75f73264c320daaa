import { itemAt, numberAt } from '../table/itemAt'
import { cholesky, solveCholesky } from './cholesky'

/** A straight line through many dimensions: value ≈ constant + slope · x, and the variance left over. */
export interface LinearFit {
  readonly constant: number
  readonly slope: Float64Array
  readonly variance: number
}

/** Pull of the slopes towards zero, in rows (ridge regression, Hoerl and Kennard 1970). */
const PULL = 2

/**
 * Fits values by a linear function of rows, each row weighted.
 *
 * @param rows row after row, `size` numbers each
 * @param size numbers in a row
 * @param values one for each row; rows whose value is not finite are left out
 * @param weights one for each row, zero or more
 * @returns the fit; slopes of zero where fewer than two rows count
 */
export function ridge(
  rows: Float64Array,
  size: number,
  values: ArrayLike<number>,
  weights: ArrayLike<number>,
): LinearFit {
  const wide = size + 1
  const normal = new Float64Array(wide * wide)
  const right = new Float64Array(wide)
  const row = new Float64Array(wide)
  let total = 0
  for (let i = 0; i < values.length; i++) {
    const weight = itemAt(weights, i) * values.length
    const value = itemAt(values, i)
    if (!Number.isFinite(value) || !(weight > 0)) continue
    row[0] = 1
    for (let k = 0; k < size; k++) row[k + 1] = numberAt(rows, i * size + k)
    total += weight
    for (let p = 0; p < wide; p++) {
      right[p] = numberAt(right, p) + weight * numberAt(row, p) * value
      for (let q = 0; q <= p; q++)
        normal[p * wide + q] = numberAt(normal, p * wide + q) + weight * numberAt(row, p) * numberAt(row, q)
    }
  }
  if (!(total > 1)) return { constant: 0, slope: new Float64Array(size), variance: 1 }
  normal[0] = numberAt(normal, 0) + 1e-9
  for (let p = 1; p < wide; p++) normal[p * wide + p] = numberAt(normal, p * wide + p) + PULL
  const solution = solveCholesky(cholesky(normal, wide), right)
  let left = 0
  for (let i = 0; i < values.length; i++) {
    const weight = itemAt(weights, i) * values.length
    const value = itemAt(values, i)
    if (!Number.isFinite(value) || !(weight > 0)) continue
    let fitted = numberAt(solution, 0)
    for (let k = 0; k < size; k++) fitted += numberAt(solution, k + 1) * numberAt(rows, i * size + k)
    left += weight * (value - fitted) ** 2
  }
  return { constant: numberAt(solution, 0), slope: solution.slice(1), variance: left / total }
}
