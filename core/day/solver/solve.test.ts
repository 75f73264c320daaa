import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../maths/random/seededRandom'
import { solve, type Project, type Solution } from './solve'

/** Fisher and Thompson (1963), six jobs on six machines: machine and time of each operation; the least time is 55. */
const SIX_BY_SIX = [
  [2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6],
  [1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4],
  [2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7],
  [1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9],
  [2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1],
  [1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1],
]

/** A job shop: its operations, and an end after all of them whose start is the cost. */
function jobShop(rows: readonly (readonly number[])[], most: number): Project {
  const operations = rows.flatMap((row, job) =>
    Array.from({ length: row.length / 2 }, (_, k) => ({ job, machine: row[2 * k]!, length: row[2 * k + 1]! })))
  const end = operations.length
  return {
    jobs: [
      ...operations.map(({ length }) => ({ length, earliest: 0, latest: most })),
      { length: 0, earliest: 0, latest: most, cost: start => start },
    ],
    lags: operations.map(({ job, length }, i) =>
      ({ from: i, to: operations[i + 1]?.job === job ? i + 1 : end, least: length })),
    resources: [...new Set(operations.map(one => one.machine))].map(machine => ({
      capacity: 1,
      uses: operations.flatMap((one, job) => (one.machine === machine ? [{ job, demand: 1 }] : [])),
    })),
  }
}

/** Whether starts keep to everything that a project asks. */
function keeps(project: Project, starts: readonly number[]): boolean {
  const ends = starts.map((start, i) => start + project.jobs[i]!.length)
  return project.jobs.every(({ earliest, latest, closed }, i) =>
    starts[i]! >= earliest && starts[i]! <= latest
    && (closed ?? []).every(([first, last]) => starts[i]! < first || starts[i]! > last))
    && project.lags.every(({ from, to, least, most }) =>
      starts[to]! - starts[from]! >= least && starts[to]! - starts[from]! <= (most ?? Infinity))
      && project.resources.every(({ capacity, uses }) => starts.every((_, at) =>
        uses.filter(({ job }) => starts[job]! <= starts[at]! && starts[at]! < ends[job]!)
          .reduce((sum, one) => sum + one.demand, 0) <= capacity))
}

const LATEST = 6
/** A small project of anything: four jobs, lags both ways, two resources, closed times, rising costs. */
function invented(seed: number): Project {
  const uniform = seededRandom(seed)
  const whole = (from: number, to: number): number => from + Math.floor(uniform() * (to - from + 1))
  return {
    jobs: Array.from({ length: 4 }, () => {
      const [slope, free, shut] = [whole(0, 3), whole(0, LATEST), whole(0, LATEST)]
      return {
        length: whole(1, 3), earliest: whole(0, 1), latest: LATEST,
        cost: (start: number) => slope * Math.max(0, start - free),
        closed: uniform() < 0.3 ? [[shut, shut + whole(0, 2)] as const] : [],
      }
    }),
    lags: Array.from({ length: whole(0, 4) }, () => {
      const least = whole(-2, 3)
      return { from: whole(0, 3), to: whole(0, 3), least, ...(uniform() < 0.3 ? { most: least + whole(0, 3) } : {}) }
    }).filter(lag => lag.from !== lag.to),
    resources: Array.from({ length: 2 }, () => ({
      capacity: whole(2, 3),
      uses: [0, 1, 2, 3].filter(() => uniform() < 0.7).map(job => ({ job, demand: whole(1, 2) })),
    })),
  }
}

function byLooking(project: Project): number | 'impossible' {
  let best = Number.POSITIVE_INFINITY
  for (let code = 0; code < (LATEST + 1) ** 4; code++) {
    const starts = [0, 1, 2, 3].map(i => Math.floor(code / (LATEST + 1) ** i) % (LATEST + 1))
    const cost = project.jobs.reduce((sum, job, i) => sum + job.cost!(starts[i]!), 0)
    if (cost < best && keeps(project, starts)) best = cost
  }
  return best === Number.POSITIVE_INFINITY ? 'impossible' : best
}

describe('the solver by itself', () => {
  it('solves the job shop of six by six to its published optimum, and knows it', () => {
    const project = jobShop(SIX_BY_SIX, 100)
    const found = solve(project) as Solution
    expect(found).toMatchObject({ cost: 55, proven: true })
    expect(keeps(project, found.starts)).toBe(true)
  })

  it('knows that nothing is shorter than the optimum', () => {
    expect(solve(jobShop(SIX_BY_SIX, 54))).toBe('impossible')
  })

  it('agrees with looking at every start of any small project', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const project = invented(seed)
      const found = solve(project)
      expect(found === 'impossible' ? found : found?.cost).toBe(byLooking(project))
      if (found && found !== 'impossible') {
        expect(found.proven).toBe(true)
        expect(keeps(project, found.starts)).toBe(true)
      }
    }), { numRuns: 200, seed: 5 })
  })

  it('gives the best it has where it may not look on, without calling it proven', () => {
    const found = solve(jobShop(SIX_BY_SIX, 100), 1)
    expect(found === null || (found !== 'impossible' && !found.proven && found.cost >= 55)).toBe(true)
  })

  it('says that a job that may never begin is impossible', () => {
    expect(solve({ jobs: [{ length: 1, earliest: 3, latest: 2 }], lags: [], resources: [] })).toBe('impossible')
    expect(solve({ jobs: [{ length: 1, earliest: 2, latest: 3, closed: [[0, 9]] }], lags: [], resources: [] }))
      .toBe('impossible')
  })
})
