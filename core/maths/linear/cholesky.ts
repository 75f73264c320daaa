import { numberAt } from '../table/itemAt'
import { CoreError } from '../../error'

/**
 * Cholesky factor of a symmetric positive definite matrix (Golub and Van Loan).
 *
 * @param matrix row after row, size × size; only its lower half is read
 * @param size number of rows, 1 or more
 * @returns the lower triangular L with L·Lᵀ = matrix, row after row
 * @throws CoreError `cannot-work` where the matrix is not positive definite
 * @example cholesky(new Float64Array([4, 0, 2, 5]), 2) // [2, 0, 1, 2]
 */
export function cholesky(matrix: Float64Array, size: number): Float64Array {
  const lower = new Float64Array(size * size)
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = numberAt(matrix, i * size + j)
      for (let k = 0; k < j; k++) sum -= numberAt(lower, i * size + k) * numberAt(lower, j * size + k)
      if (i === j && !(sum > 0)) throw new CoreError('cannot-work', 'cholesky.matrix', { row: i })
      lower[i * size + j] = i === j ? Math.sqrt(sum) : sum / numberAt(lower, j * size + j)
    }
  }
  return lower
}

/**
 * Solves L·Lᵀ·x = b.
 *
 * @param lower from `cholesky`
 * @param right the right side, its length the size
 * @returns x
 */
export function solveCholesky(lower: Float64Array, right: ArrayLike<number>): Float64Array {
  const size = right.length
  const x = solveLower(lower, right)
  return solveUpper(lower, x, size)
}

/**
 * Solves L·x = b for a lower triangular L.
 *
 * @param lower row after row
 * @param right the right side
 * @returns x
 */
export function solveLower(lower: Float64Array, right: ArrayLike<number>): Float64Array {
  const size = right.length
  const x = Float64Array.from(right)
  for (let i = 0; i < size; i++) {
    for (let k = 0; k < i; k++) x[i] = numberAt(x, i) - numberAt(lower, i * size + k) * numberAt(x, k)
    x[i] = numberAt(x, i) / numberAt(lower, i * size + i)
  }
  return x
}

/**
 * Solves Lᵀ·x = b for a lower triangular L.
 *
 * @param lower row after row
 * @param right the right side
 * @param size number of rows
 * @returns x
 */
export function solveUpper(lower: Float64Array, right: ArrayLike<number>, size: number): Float64Array {
  const x = Float64Array.from(right)
  for (let i = size - 1; i >= 0; i--) {
    for (let k = i + 1; k < size; k++) x[i] = numberAt(x, i) - numberAt(lower, k * size + i) * numberAt(x, k)
    x[i] = numberAt(x, i) / numberAt(lower, i * size + i)
  }
  return x
}
