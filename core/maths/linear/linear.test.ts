import { describe, expect, it } from 'vitest'
import { CoreError } from '../../error'
import { fillNormal } from '../random/fillNormal'
import { seededRandom } from '../random/seededRandom'
import { cholesky, solveCholesky, solveLower, solveUpper } from './cholesky'
import { ridge } from './ridge'

describe('a Cholesky factor', () => {
  it('multiplies back to its matrix and solves with it', () => {
    const size = 6
    const half = fillNormal(new Float64Array(size * size), seededRandom(3))
    const matrix = new Float64Array(size * size)
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < size; j++) {
        for (let k = 0; k < size; k++) matrix[i * size + j]! += half[i * size + k]! * half[j * size + k]!
        if (i === j) matrix[i * size + j]! += 1
      }
    }
    const lower = cholesky(matrix, size)
    const x = solveCholesky(lower, [1, 2, 3, 4, 5, 6])
    for (let i = 0; i < size; i++) {
      let sum = 0
      for (let k = 0; k < size; k++) sum += matrix[i * size + k]! * x[k]!
      expect(sum).toBeCloseTo(i + 1, 9)
    }
    expect(Array.from(solveUpper(lower, solveLower(lower, [1, 2, 3, 4, 5, 6]), size))).toEqual(Array.from(x))
  })

  it('refuses a matrix that is not positive definite', () => {
    expect(() => cholesky(new Float64Array([1, 0, 2, 1]), 2)).toThrow(CoreError)
  })
})

describe('a ridge fit', () => {
  it('finds the line behind noisy rows, and the noise', () => {
    const rows = fillNormal(new Float64Array(3 * 2000), seededRandom(5))
    const noise = fillNormal(new Float64Array(2000), seededRandom(6))
    const values = Array.from({ length: 2000 }, (_, i) => 4 + 2 * rows[3 * i]! - rows[3 * i + 2]! + 0.1 * noise[i]!)
    const fit = ridge(rows, 3, values, new Float64Array(2000).fill(1 / 2000))
    expect(fit.constant).toBeCloseTo(4, 1)
    expect(fit.slope[0]).toBeCloseTo(2, 1)
    expect(fit.slope[1]).toBeCloseTo(0, 1)
    expect(fit.slope[2]).toBeCloseTo(-1, 1)
    expect(fit.variance).toBeCloseTo(0.01, 2)
  })

  it('is pulled towards flat as if two more rows said nothing happens: by hand', () => {
    // Rows −1 and 1 with values 0 and 2: Σx² of 2 and the pull of 2 halve the slope; half is left of each value.
    const fit = ridge(Float64Array.of(-1, 1), 1, [0, 2], [0.5, 0.5])
    expect(fit.constant).toBeCloseTo(1, 6)
    expect([...fit.slope]).toEqual([expect.closeTo(0.5, 9)])
    expect(fit.variance).toBeCloseTo(0.25, 6)
    // Three quarters of the weight on the second: Σw 2, Σwx 1, Σwy 3, Σwxy 3; (2, 1; 1, 4) is solved by (9, 3) / 7.
    const leaning = ridge(Float64Array.of(-1, 1), 1, [0, 2], [0.25, 0.75])
    expect([leaning.constant, leaning.slope[0]]).toEqual([expect.closeTo(9 / 7, 6), expect.closeTo(3 / 7, 6)])
  })

  it('is flat where nothing counts', () => {
    expect(ridge(new Float64Array(4), 2, [Number.NaN, Number.POSITIVE_INFINITY], [0.5, 0.5]).slope).toEqual(
      new Float64Array(2),
    )
  })
})
