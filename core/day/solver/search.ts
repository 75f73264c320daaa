import { Branching } from './branching'
import { Closures } from './closures'
import { ConflictAnalysis } from './conflict'
import { Domains, REASON } from './domains'
import { Lags } from './lags'
import { Nogoods } from './nogoods'
import type { Objective } from './objective'
import type { Timetable } from './timetable'

/**
 * Sides propagated for a conflict, about: turns are measured by what is propagated, as neighbourhoods have few
 * conflicts.
 */
export const SIDES_PER_CONFLICT = 150

/** How a search ended: everything below the limit was seen, the limit of conflicts was reached, or it was stopped. */
export type SearchEnd = 'exhausted' | 'limit' | 'stopped' | 'found'

/** Limits of one search. */
export interface SearchLimits {
  /** Conflicts after which it ends. */
  readonly conflicts: number
  /** Literals assumed, as pairs of side and value, for a neighbourhood. */
  readonly assumed?: readonly number[]
  /** True ends it; asked every few conflicts. */
  readonly stop?: () => boolean
  /** Ends at the first plan found. */
  readonly first?: boolean
  /** Takes the smallest least value first instead of the most active. */
  readonly earliest?: boolean
  /** Called with every plan found: all values, by variable. */
  readonly onFound: (values: readonly number[]) => void
}

/** Lazy clause generation: propagation, learning from conflicts, restarts. One for one model. */
export class Search {
  readonly domains = new Domains()
  readonly lags = new Lags(this.domains)
  readonly nogoods = new Nogoods(this.domains)
  readonly closures = new Closures(this.domains)
  readonly timetables: Timetable[] = []
  objective!: Objective
  branching!: Branching
  /** Conflicts met so far, and sides propagated: the measure of time spent. */
  conflicts = 0
  work = 0
  private readonly analysis = new ConflictAnalysis(this.domains, this.lags, this.nogoods)
  private readonly wakes: number[][] = []
  private readonly awake: boolean[] = []
  private objectiveAwake = true
  private readonly costs: boolean[] = []
  private learntMost = 4000
  /** True once nothing is left below the limit, whatever is assumed. */
  closed = false

  /** Ends the building of the model; false if it is already impossible. */
  begin(objective: Objective, variables: readonly number[], isChoice: readonly boolean[]): boolean {
    this.objective = objective
    this.branching = new Branching(this.domains, variables, isChoice, [])
    this.analysis.onMeet = variable => this.branching.meet(variable)
    this.domains.onReopened = variable => this.branching.reopen(variable)
    this.timetables.forEach((timetable, index) => {
      this.awake[index] = true
      for (const side of timetable.wakes()) (this.wakes[side] ??= []).push(index)
    })
    for (const term of objective.terms) this.costs[2 * term.variable] = this.costs[2 * term.variable + 1] = true
    for (let side = 0; side < this.domains.sides; side++) {
      if (!this.closures.changed(side) || !this.lags.changed(side)) return this.close()
    }
    return this.propagate() || this.close()
  }

  private close(): false {
    this.closed = true
    return false
  }

  /** Propagates to the fixed point; false on failure. */
  propagate(): boolean {
    const { domains } = this
    for (;;) {
      for (let side = domains.next(); side >= 0; side = domains.next()) {
        this.work++
        if (!this.lags.changed(side) || !this.nogoods.changed(side) || !this.closures.changed(side)) return false
        const wakes = this.wakes[side]
        if (wakes) for (let i = 0; i < wakes.length; i++) this.awake[wakes[i]] = true
        if (this.costs[side]) this.objectiveAwake = true
      }
      if (this.objectiveAwake) {
        this.objectiveAwake = false
        if (!this.objective.propagate()) return false
        if (domains.queue.length > 0) continue
      }
      const index = this.awake.indexOf(true)
      if (index < 0) return true
      this.awake[index] = false
      if (!this.timetables[index].propagate()) return false
    }
  }

  /** Lowers the limit of the objective and propagates what follows without any decision; false if nothing is left. */
  limit(most: number): boolean {
    this.backTo(0)
    this.objective.most = Math.min(this.objective.most, most)
    return !this.closed && (this.propagate() || this.close())
  }

  /** Searches for plans below the limit of the objective, which each plan found lowers. */
  run(limits: SearchLimits): SearchEnd {
    const until = this.conflicts + limits.conflicts
    const assumed = limits.assumed ?? []
    let restartAt = this.conflicts + 100
    let restarts = 1
    this.backTo(0)
    this.objectiveAwake = true
    for (;;) {
      if (!this.propagate()) {
        if (!this.learn()) return 'exhausted'
        if (this.conflicts % 64 === 0 && limits.stop?.()) return this.end('stopped')
        if (this.conflicts >= until) return this.end('limit')
        continue
      }
      if (this.conflicts >= restartAt) {
        restartAt = this.conflicts + 100 * luby(++restarts)
        this.backTo(0)
        continue
      }
      const assumption = this.assume(assumed)
      if (assumption === 'contradicted') return this.end('exhausted')
      if (assumption === 'made') continue
      const variable = limits.earliest ? this.branching.earliest() : this.branching.mostActive()
      if (variable >= 0) {
        this.decide(variable)
        continue
      }
      this.found(limits)
      if (limits.first) return this.end('found')
    }
  }

  private end(ended: SearchEnd): SearchEnd {
    this.backTo(0)
    return ended
  }

  /** Makes the next assumption that does not hold yet. */
  private assume(assumed: readonly number[]): 'made' | 'contradicted' | 'none' {
    const { domains } = this
    while (2 * domains.level < assumed.length) {
      const side = assumed[2 * domains.level]
      const value = assumed[2 * domains.level + 1]
      if (domains.isFalse(side, value)) return 'contradicted'
      const holds = domains.isTrue(side, value)
      domains.push()
      if (holds) continue
      domains.set(side, value, REASON.decision)
      return 'made'
    }
    return 'none'
  }

  private decide(variable: number): void {
    const { domains, branching } = this
    domains.push()
    if (branching.isChoice[variable] && branching.phase[variable] === 1) domains.set(2 * variable, 1, REASON.decision)
    else domains.set(2 * variable + 1, -domains.bound[2 * variable], REASON.decision)
  }

  private found(limits: SearchLimits): void {
    const { domains, branching, objective } = this
    const values = Array.from({ length: domains.sides >> 1 }, (_, variable) => domains.bound[2 * variable])
    for (const variable of branching.variables)
      if (branching.isChoice[variable]) branching.phase[variable] = values[variable]
    objective.most = objective.least() - 1
    this.backTo(0)
    this.objectiveAwake = true
    limits.onFound(values)
  }

  private learn(): boolean {
    const { domains } = this
    this.conflicts++
    const lesson = domains.level === 0 ? null : this.analysis.analyse()
    if (!lesson) {
      this.backTo(0)
      return this.close()
    }
    this.branching.decay()
    this.backTo(lesson.backTo)
    const { sides, values } = lesson
    if (sides.length === 1) {
      if (!domains.set(sides[0], values[0], REASON.decision)) return this.close()
    }
    else {
      const index = this.nogoods.add(sides, values, Math.max(1, lesson.spread))
      domains.set(sides[0], values[0], (index << 2) | REASON.nogood)
    }
    if (this.nogoods.learnt > this.learntMost) {
      this.nogoods.forgetHalf()
      this.learntMost += 200
    }
    return true
  }

  private backTo(level: number): void {
    this.domains.backTo(level)
    this.awake.fill(true)
    this.objectiveAwake = true
  }
}

/** The sequence of Luby, Sinclair and Zuckerman (1993): 1 1 2 1 1 2 4 … */
function luby(index: number): number {
  let size = 1
  let power = 0
  while (size < index + 1) {
    size = 2 * size + 1
    power++
  }
  let rest = index
  while (size - 1 !== rest) {
    size = (size - 1) >> 1
    power--
    rest %= size
  }
  return 2 ** power
}
