import { CoreError } from '../../error'

const TOLERANCE = 1e-10

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
      const share = Math.min(...bad.map(k => x[k] / Math.max(TOLERANCE, x[k] - (solved.get(k) ?? 0))))
      for (const k of free) x[k] += share * ((solved.get(k) ?? 0) - x[k])
      for (const k of bad) {
        if (x[k] > TOLERANCE) continue
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
  const left = rows.map((row, i) => target[i] - row.reduce((sum, a, k) => sum + a * x[k], 0))
  return x.map((_, k) => rows.reduce((sum, row, i) => sum + row[k] * left[i], 0))
}

function best(gradient: readonly number[], free: ReadonlySet<number>): number {
  let found = -1
  gradient.forEach((value, k) => {
    if (!free.has(k) && value > 1e-9 && (found < 0 || value > gradient[found])) found = k
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
  const system = columns.map(p => [
    ...columns.map(q => rows.reduce((sum, row) => sum + row[p] * row[q], 0)),
    rows.reduce((sum, row, i) => sum + row[p] * target[i], 0),
  ])
  for (let i = 0; i < n; i++) system[i][i] *= 1 + 1e-12
  for (let i = 0; i < n; i++) {
    const pivot = system.slice(i).reduce((p, row, k) => (Math.abs(row[i]) > Math.abs(system[p][i]) ? i + k : p), i)
    ;[system[i], system[pivot]] = [system[pivot], system[i]]
    const head = system[i][i]
    if (!(Math.abs(head) > 1e-14)) continue
    for (let r = i + 1; r < n; r++) {
      const factor = system[r][i] / head
      for (let c = i; c <= n; c++) system[r][c] -= factor * system[i][c]
    }
  }
  const solved = new Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i--) {
    const rest = system[i].slice(i + 1, n).reduce((sum, a, k) => sum + a * solved[i + 1 + k], 0)
    solved[i] = Math.abs(system[i][i]) > 1e-14 ? (system[i][n] - rest) / system[i][i] : 0
  }
  return new Map(columns.map((k, i) => [k, solved[i]]))
}
