import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../maths/random/seededRandom'
import { Objective } from './objective'
import { Search } from './search'
import { Timetable } from './timetable'

/** A small problem: starts of four steps between 0 and 7, one yes-or-no, and everything the search knows. */
interface Small {
  readonly lengths: readonly number[]
  readonly demands: readonly number[]
  readonly capacity: number
  /** A step begins so long after another, always or if the choice is yes. */
  readonly lags: readonly {
    readonly from: number
    readonly to: number
    readonly weight: number
    readonly ifYes: boolean
  }[]
  readonly closures: readonly {
    readonly step: number
    readonly first: number
    readonly last: number
    readonly ifYes: boolean
  }[]
  readonly costs: readonly (readonly number[])[]
  /** What yes costs. */
  readonly yes: number
  /** The last step only takes of the resource if the choice is yes. */
  readonly optional: boolean
}

const STEPS = 4
const MOST = 7

function invented(seed: number): Small {
  const uniform = seededRandom(seed)
  const whole = (from: number, to: number): number => from + Math.floor(uniform() * (to - from + 1))
  const rising = (): number[] => {
    let cost = 0
    return Array.from({ length: MOST + 1 }, () => cost += whole(0, 3))
  }
  return {
    lengths: Array.from({ length: STEPS }, () => whole(1, 3)),
    demands: Array.from({ length: STEPS }, () => whole(1, 2)),
    capacity: whole(2, 3),
    lags: Array.from({ length: whole(0, 4) }, () => ({
      from: whole(0, STEPS - 1),
      to: whole(0, STEPS - 1),
      weight: whole(-3, 3),
      ifYes: uniform() < 0.4,
    })).filter(lag => lag.from !== lag.to),
    closures: Array.from({ length: whole(0, 3) }, () => {
      const first = whole(0, MOST)
      return { step: whole(0, STEPS - 1), first, last: first + whole(0, 2), ifYes: uniform() < 0.4 }
    }),
    costs: Array.from({ length: STEPS }, rising),
    yes: whole(0, 4),
    optional: uniform() < 0.5,
  }
}

/** Least cost by looking at everything; null if nothing fits. */
function byLooking(small: Small): number | null {
  let best: number | null = null
  const at = new Array<number>(STEPS).fill(0)
  const fits = (yes: boolean): boolean => {
    for (const lag of small.lags) if ((yes || !lag.ifYes) && at[lag.to]! < at[lag.from]! + lag.weight) return false
    for (const closure of small.closures)
      if ((yes || !closure.ifYes) && at[closure.step]! >= closure.first && at[closure.step]! <= closure.last)
        return false
    for (let minute = 0; minute < MOST + 4; minute++) {
      let use = 0
      for (let i = 0; i < STEPS; i++)
        if ((yes || !small.optional || i < STEPS - 1) && at[i]! <= minute && minute < at[i]! + small.lengths[i]!)
          use += small.demands[i]!
      if (use > small.capacity) return false
    }
    return true
  }
  for (let code = 0; code < (MOST + 1) ** STEPS; code++) {
    for (let i = 0, rest = code; i < STEPS; i++, rest = Math.floor(rest / (MOST + 1))) at[i] = rest % (MOST + 1)
    const cost = at.reduce((sum, value, i) => sum + small.costs[i]![value]!, 0)
    for (const yes of [false, true]) {
      const all = cost + (yes ? small.yes : 0)
      if ((best === null || all < best) && fits(yes)) best = all
    }
  }
  return best
}

function bySearch(small: Small): { best: number | null, closed: boolean } {
  const search = new Search()
  const { domains, lags, closures } = search
  const steps = Array.from({ length: STEPS }, () => domains.variable(0, MOST))
  const choice = domains.variable(0, 1)
  for (const { from, to, weight, ifYes } of small.lags)
    lags.add(2 * steps[from]!, 2 * steps[to]!, weight, ifYes ? 2 * choice : 0, ifYes ? 1 : 0)
  for (const { step, first, last, ifYes } of small.closures)
    closures.add(steps[step]!, first, last, ifYes ? 2 * choice : 0, ifYes ? 1 : 0)
  search.timetables.push(new Timetable(domains, small.capacity, steps.map((start, i) => {
    const isOptional = small.optional && i === STEPS - 1
    return {
      start,
      startPlus: 0,
      end: start,
      endPlus: small.lengths[i]!,
      length: small.lengths[i]!,
      demand: small.demands[i]!,
      ifSide: isOptional ? 2 * choice : 0,
      ifValue: isOptional ? 1 : 0,
    }
  })))
  const terms = [
    ...steps.map((variable, i) => ({ variable, from: 0, costs: Int32Array.from(small.costs[i]!) })),
    { variable: choice, from: 0, costs: Int32Array.of(0, small.yes) },
  ]
  let best: number | null = null
  const isChoice: boolean[] = []
  isChoice[choice] = true
  if (!search.begin(new Objective(domains, terms), [...steps, choice], isChoice)) return { best, closed: true }
  for (let round = 0; round < 200 && !search.closed; round++) {
    search.run({
      conflicts: 50,
      onFound: values => {
        best = terms.reduce((sum, term) => sum + term.costs[values[term.variable]! - term.from]!, 0)
      },
    })
  }
  return { best, closed: search.closed }
}

describe('the search', () => {
  it('finds what looking at everything finds, and knows that nothing is better, for any small problem', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const small = invented(seed)
      expect(bySearch(small)).toEqual({ best: byLooking(small), closed: true })
    }), { numRuns: 400, seed: 17 })
  })

  it('finds nothing below a limit that nothing keeps, and does not forget that', () => {
    for (const seed of [3, 8, 12, 31]) {
      const small = invented(seed)
      const best = byLooking(small)
      if (best === null) continue
      const search = new Search()
      const steps = Array.from({ length: STEPS }, () => search.domains.variable(0, MOST))
      const terms = steps.map((variable, i) => ({ variable, from: 0, costs: Int32Array.from(small.costs[i]!) }))
      expect(search.begin(new Objective(search.domains, terms), steps, [])).toBe(true)
      expect(search.limit(search.objective.least() - 1)).toBe(false)
      expect(search.limit(1_000_000)).toBe(false)
      expect(search.closed).toBe(true)
    }
  })
})
