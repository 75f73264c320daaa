import { REASON, type Domains } from './domains'
import type { Lags } from './lags'
import type { Nogoods } from './nogoods'

/** What a conflict teaches: a clause whose first literal is to be set after going back to a level. */
export interface LearnedClause {
  readonly sides: number[]
  readonly values: number[]
  readonly backTo: number
  readonly spread: number
}

/**
 * Analysis of conflicts to the first unique implication point (Marques-Silva and Sakallah, 1999) on literals that are
 * bounds: of two bounds of one side only the stronger is kept, and it is explained no stronger than it is needed.
 */
export class ConflictAnalysis {
  /** Value needed of each side, and the entry of the trail that made it true; stale unless stamped. */
  private readonly need: number[] = []
  private readonly entry: number[] = []
  private readonly stamp: number[] = []
  private round = 0
  private here = 0
  private levelFrom = 0
  private touched: number[] = []
  /** Called for every variable met, for the order of branching. */
  onMeet: (variable: number) => void = () => undefined

  constructor(private readonly domains: Domains, private readonly lags: Lags, private readonly nogoods: Nogoods) {}

  /** Learns from the failure kept in the domains; there must be at least one level of decision. */
  analyse(): LearnedClause | null {
    const { domains } = this
    this.round++
    this.here = 0
    this.touched = []
    this.levelFrom = domains.levelStart[domains.level - 1]
    if (domains.failedSide >= 0) this.wants(domains.failedSide ^ 1, 1 - domains.failedValue)
    this.explain(domains.failedReason, domains.failedSide, domains.failedValue)
    if (this.here === 0 && !this.lower()) return null
    return this.lesson(this.implicationPoint())
  }

  /** Goes back to the level of a conflict that has no literal of the last one; false if it needs no decision at all. */
  private lower(): boolean {
    const { domains } = this
    const kept = [...new Set(this.touched)].filter(side => this.stamp[side] === this.round)
    if (kept.length === 0) return false
    domains.backTo(domains.levelOf(Math.max(...kept.map(side => this.entry[side]))))
    this.levelFrom = domains.levelStart[domains.level - 1]
    this.here = kept.filter(side => this.entry[side] >= this.levelFrom).length
    return true
  }

  /** Replaces literals of the last level by their reasons, latest first, until one is left; its side. */
  private implicationPoint(): number {
    const { domains } = this
    for (let at = domains.trailSize - 1; ; at--) {
      const side = domains.trailSide[at]
      if (this.stamp[side] !== this.round || this.entry[side] !== at) continue
      if (this.here === 1) return side
      this.stamp[side] = 0
      this.here--
      this.explain(domains.trailReason[at], side, this.need[side])
    }
  }

  /** Takes a literal into the reasons of the conflict. */
  private wants(side: number, value: number): void {
    const entry = this.domains.entryOf(side, value)
    if (entry < 0) return
    const known = this.stamp[side] === this.round
    if (known && this.need[side] >= value) return
    const wasHere = known && this.entry[side] >= this.levelFrom
    if (!known) {
      this.stamp[side] = this.round
      this.touched.push(side)
      this.onMeet(side >> 1)
    }
    this.need[side] = value
    this.entry[side] = entry
    if (!wasHere && entry >= this.levelFrom) this.here++
  }

  /** Calls back for each literal that together made this one true. */
  private explain(reason: number, side: number, value: number): void {
    this.reasons(reason, side, value, (s, v) => {
      this.wants(s, v)
      return true
    })
  }

  private reasons(
    reason: number,
    side: number,
    value: number,
    each: (side: number, value: number) => boolean,
  ): boolean {
    const index = reason >> 2
    switch (reason & 3) {
      case REASON.lag: {
        const { from, weight, ifSide, ifValue } = this.lags.edges[index]
        if (ifSide !== 0 && !each(ifSide, ifValue)) return false
        return each(from, value - weight)
      }
      case REASON.nogood: {
        const { sides, values } = this.nogoods.all[index]
        for (let i = 1; i < sides.length; i++) if (!each(sides[i] ^ 1, 1 - values[i])) return false
        return true
      }
      case REASON.note: {
        const notes = this.domains.notes
        for (let i = 0; i < notes[index]; i++)
          if (!each(notes[index + 1 + 2 * i], notes[index + 2 + 2 * i])) return false
        return true
      }
      default:
        return false
    }
  }

  /** True if a literal follows from the others that are kept. */
  private follows(side: number): boolean {
    const reason = this.domains.trailReason[this.entry[side]]
    if ((reason & 3) === REASON.decision) return false
    return this.reasons(
      reason,
      side,
      this.need[side],
      (s, v) =>
        (this.stamp[s] === this.round && this.entry[s] < this.entry[side] && this.need[s] >= v)
        || this.domains.entryOf(s, v) < 0,
    )
  }

  private lesson(top: number): LearnedClause {
    const { domains } = this
    const sides = [top ^ 1]
    const values = [1 - this.need[top]]
    let backTo = 0
    let second = -1
    const levels = new Set<number>([domains.level])
    for (const side of new Set(this.touched)) {
      if (side === top || this.stamp[side] !== this.round || this.follows(side)) continue
      const level = domains.levelOf(this.entry[side])
      levels.add(level)
      sides.push(side ^ 1)
      values.push(1 - this.need[side])
      if (level > backTo) {
        backTo = level
        second = sides.length - 1
      }
    }
    if (second > 1) {
      [sides[1], sides[second]] = [sides[second], sides[1]];
      [values[1], values[second]] = [values[second], values[1]]
    }
    return { sides, values, backTo, spread: levels.size }
  }
}
