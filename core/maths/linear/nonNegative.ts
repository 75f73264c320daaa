import { itemAt, numberAt } from '../table/itemAt'
import { CoreError } from '../../error'

const TOLERANCE = 1e-10
/** Relative damping of the normal equations, and a pivot that counts as nothing. */
const DAMPING = 1e-12
const LEAST_PIVOT = 1e-14

/**
 * Non-negative least squares: the x ≥ 0 that makes |Ax − b| least, by the active-set method of Lawson and Hanson
 * (Solving Least Squares Problems, 1974, chapter 23).
 *
 * @param rows rows of A, all of one length
 * @param target b, as many as rows
 * @returns x, one for each column
 * @throws CoreError `cannot-work` where it does not come to an end
 */
export function nonNegative(rows: readonly (readonly number[])[], target: readonly number[]): number[] {
  const width = rows[0]?.length ?? 0
  const x = new Array<number>(width).fill(0)
  const free = new Set<number>()
  for (let step = 0; step < 30 * width + 30; step++) {
    const gradient = pull(rows, target, x)
    const next = best(gradient, free)
    if (next < 0) return x
    free.add(next)
    for (;;) {
      const solved = leastSquares(rows, target, [...free])
      const bad = [...free].filter(k => !((solved.get(k) ?? 0) > TOLERANCE))
      if (bad.length === 0) {
        for (const k of free) x[k] = solved.get(k) ?? 0
        break
      }
      const share = Math.min(...bad.map(k => itemAt(x, k) / Math.max(TOLERANCE, itemAt(x, k) - (solved.get(k) ?? 0))))
      for (const k of free) x[k] = itemAt(x, k) + share * ((solved.get(k) ?? 0) - itemAt(x, k))
      for (const k of bad) {
        if (itemAt(x, k) > TOLERANCE) continue
        x[k] = 0
        free.delete(k)
      }
      if (free.size === 0) break
    }
  }
  throw new CoreError('cannot-work', 'nonNegative.rows')
}

/** Downhill pull on each unknown: Aᵀ(b − Ax). */
function pull(rows: readonly (readonly number[])[], target: readonly number[], x: readonly number[]): number[] {
  const left = rows.map((row, i) => itemAt(target, i) - row.reduce((sum, a, k) => sum + a * itemAt(x, k), 0))
  return x.map((_, k) => rows.reduce((sum, row, i) => sum + itemAt(row, k) * itemAt(left, i), 0))
}

function best(gradient: readonly number[], free: ReadonlySet<number>): number {
  let found = -1
  gradient.forEach((value, k) => {
    if (!free.has(k) && value > 1e-9 && (found < 0 || value > itemAt(gradient, found))) found = k
  })
  return found
}

/** Plain least squares in some of the unknowns, by the normal equations with a trace of damping. */
function leastSquares(
  rows: readonly (readonly number[])[],
  target: readonly number[],
  columns: readonly number[],
): Map<number, number> {
  const n = columns.length
  const system = columns.map((p, i) => Float64Array.from([
    ...columns.map((q, j) =>
      rows.reduce((sum, row) => sum + itemAt(row, p) * itemAt(row, q), 0) * (i === j ? 1 + DAMPING : 1)),
    rows.reduce((sum, row, k) => sum + itemAt(row, p) * itemAt(target, k), 0),
  ]))
  for (let i = 0; i < n; i++) {
    const below = system.splice(i)
    below.sort((p, q) => Math.abs(numberAt(q, i)) - Math.abs(numberAt(p, i)))
    system.push(...below)
    const row = itemAt(system, i)
    const head = numberAt(row, i)
    if (!(Math.abs(head) > LEAST_PIVOT)) continue
    for (const other of system.slice(i + 1)) {
      const factor = numberAt(other, i) / head
      for (let c = i; c <= n; c++) other[c] = numberAt(other, c) - factor * numberAt(row, c)
    }
  }
  const solved = new Float64Array(n)
  for (let i = n - 1; i >= 0; i--) {
    const row = itemAt(system, i)
    const rest = row.subarray(i + 1, n).reduce((sum, a, k) => sum + a * numberAt(solved, i + 1 + k), 0)
    const head = numberAt(row, i)
    solved[i] = Math.abs(head) > LEAST_PIVOT ? (numberAt(row, n) - rest) / head : 0
  }
  return new Map(columns.map((k, i) => [k, numberAt(solved, i)]))
}
