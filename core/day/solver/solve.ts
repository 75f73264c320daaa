import { Objective } from './objective'
import { Search } from './search'
import { Timetable } from './timetable'

/** Something to be done in one go: how long it lasts, and between which times it may begin. */
export interface Job {
  readonly length: number
  readonly earliest: number
  readonly latest: number
  /** What it costs to begin at a time, never less for a later one; nothing where it is left out. */
  readonly cost?: (start: number) => number
  /** Times at which it may not begin, first and last. */
  readonly closed?: readonly (readonly [first: number, last: number])[]
}

/** A job begins at least so long after another has begun, and at most so long after it where that is said. */
export interface JobLag { readonly from: number, readonly to: number, readonly least: number, readonly most?: number }

/** What jobs take of something while they last: of all of them that go on at one time no more than there is. */
export interface Resource {
  readonly capacity: number
  readonly uses: readonly { readonly job: number, readonly demand: number }[]
}

/** Work to be put in time. Times, lengths, demands and costs are whole numbers; jobs are named by their index. */
export interface Project {
  readonly jobs: readonly Job[]
  readonly lags: readonly JobLag[]
  readonly resources: readonly Resource[]
}

/** When each job begins, what that costs, and whether nothing can cost less. */
export interface Solution { readonly starts: readonly number[], readonly cost: number, readonly proven: boolean }

/** Conflicts between two looks at whether to stop. */
const A_ROUND = 200

/**
 * Puts work in time at least cost: jobs, what they share, how they follow one another (resource-constrained project
 * scheduling with general time lags), by lazy clause generation (Schutt, Feydy, Stuckey and Wallace, 2013, "Solving
 * RCPSP/max by lazy clause generation").
 *
 * @param project the work
 * @param most conflicts after which the best found so far is given, 1 or more
 * @returns the solution; `impossible` where there is none, null where none was found so soon
 */
export function solve(project: Project, most = 20_000): Solution | 'impossible' | null {
  const search = new Search()
  const { domains, lags, closures } = search
  const starts = project.jobs.map(({ earliest, latest }) => domains.variable(earliest, latest))
  project.jobs.forEach(({ closed }, job) => {
    for (const [first, last] of closed ?? []) closures.add(starts[job], first, last)
  })
  for (const { from, to, least, most: longest } of project.lags) {
    lags.add(2 * starts[from], 2 * starts[to], least)
    if (longest !== undefined) lags.add(2 * starts[to], 2 * starts[from], -longest)
  }
  for (const { capacity, uses } of project.resources) {
    search.timetables.push(new Timetable(domains, capacity, uses.map(({ job, demand }) => {
      const { length } = project.jobs[job]
      const start = starts[job]
      return { start, startPlus: 0, end: start, endPlus: length, length, demand, ifSide: 0, ifValue: 0 }
    })))
  }
  const terms = project.jobs.map(({ earliest, latest, cost }, job) => ({
    variable: starts[job],
    from: earliest,
    costs: Int32Array.from({ length: latest - earliest + 1 }, (_, i) => cost?.(earliest + i) ?? 0),
  }))
  if (project.jobs.some(job => job.latest < job.earliest)) return 'impossible'
  if (!search.begin(new Objective(domains, terms), starts, [])) return 'impossible'
  let best: readonly number[] | null = null
  while (!search.closed && search.conflicts < most) {
    const conflicts = Math.min(A_ROUND, most - search.conflicts)
    const before = search.conflicts
    search.run({ conflicts, onFound: values => best = starts.map(variable => values[variable]) })
    if (search.conflicts === before) break
  }
  return answered(project, best, search.closed)
}

function answered(project: Project, best: readonly number[] | null, closed: boolean): Solution | 'impossible' | null {
  if (best === null) return closed ? 'impossible' : null
  const cost = project.jobs.reduce((sum, job, i) => sum + (job.cost?.(best[i]) ?? 0), 0)
  return { starts: best, cost, proven: closed }
}
