import { because, REASON, type Domains } from './domains'

/** A use of a resource: from one variable's value to another's, if a literal holds. */
export interface Use {
  /** Variable of the start, and what is added to it. */
  readonly start: number
  readonly startPlus: number
  /** Variable of the end, and what is added to it. */
  readonly end: number
  readonly endPlus: number
  /** Least length, known beforehand. */
  readonly length: number
  readonly demand: number
  /** Literal under which the use is there; side 0 with value 0 for always. */
  readonly ifSide: number
  readonly ifValue: number
}

/**
 * A resource of fixed capacity: at no minute do the uses that must be going on then exceed it. Time-table propagation
 * with explanations at single minutes (Schutt, Feydy, Stuckey and Wallace, 2011, "Explaining the cumulative
 * propagator").
 */
export class Timetable {
  private readonly cuts: number[] = []
  private readonly heights: number[] = []

  constructor(private readonly domains: Domains, readonly capacity: number, readonly uses: readonly Use[]) {}

  /** Sides whose growth may matter. */
  wakes(): number[] {
    const sides = new Set<number>()
    for (const use of this.uses) {
      for (const side of [2 * use.start, 2 * use.start + 1, 2 * use.end, 2 * use.end + 1, use.ifSide]) sides.add(side)
    }
    sides.delete(0)
    sides.delete(1)
    return [...sides]
  }

  /** Propagates; false on failure. */
  propagate(): boolean {
    if (!this.profile()) return true
    for (let i = 0; i < this.heights.length; i++) {
      if (this.heights[i] > this.capacity)
        return this.domains.fail(this.overload((this.cuts[i] + this.cuts[i + 1] - 1) >> 1))
    }
    for (let u = 0; u < this.uses.length; u++) {
      const use = this.uses[u]
      const present = this.present(use)
      if (present === 0) continue
      if (present === 1 && !(this.pushStart(u, use) && this.pushEnd(u, use))) return false
      if (present === 2 && !this.forbid(u, use)) return false
    }
    return true
  }

  /** 0 if the use cannot be there, 1 if it is, 2 if that is open. */
  private present(use: Use): 0 | 1 | 2 {
    const bound = this.domains.bound
    if (bound[use.ifSide] >= use.ifValue) return 1
    return bound[use.ifSide ^ 1] >= 1 - use.ifValue ? 0 : 2
  }

  private latestStart(use: Use): number { return use.startPlus - this.domains.bound[2 * use.start + 1] }
  private earliestEnd(use: Use): number { return use.endPlus + this.domains.bound[2 * use.end] }

  /** Lays the parts that must be there over one another; false if there are none. */
  private profile(): boolean {
    const { cuts, heights } = this
    cuts.length = heights.length = 0
    const points: number[] = []
    for (const use of this.uses) {
      if (this.present(use) !== 1) continue
      const from = this.latestStart(use)
      const to = this.earliestEnd(use)
      if (from < to) points.push(from, to)
    }
    if (points.length === 0) return false
    points.sort((a, b) => a - b)
    for (let i = 0; i < points.length; i++) if (i === 0 || points[i] !== points[i - 1]) cuts.push(points[i])
    for (let i = 0; i + 1 < cuts.length; i++) heights.push(0)
    for (const use of this.uses) {
      if (this.present(use) !== 1) continue
      const from = this.latestStart(use)
      const to = this.earliestEnd(use)
      if (from >= to) continue
      for (let i = firstAtOrAfter(cuts, from); cuts[i] < to; i++) heights[i] = heights[i] + use.demand
    }
    return true
  }

  private pushStart(u: number, use: Use): boolean {
    const { domains, cuts, heights, capacity } = this
    const side = 2 * use.start
    for (let i = 0; i < heights.length; i++) {
      const begins = domains.bound[side] + use.startPlus
      if (cuts[i] >= begins + use.length) break
      if (
        cuts[i + 1] <= begins
        || heights[i] + use.demand <= capacity
        || this.covers(use, cuts[i])
      )
        continue
      while (domains.bound[side] + use.startPlus < cuts[i + 1]) {
        const minute = Math.min(cuts[i + 1], domains.bound[side] + use.startPlus + use.length) - 1
        const note = this.crowd(u, use, minute, side, minute - use.length + 1 - use.startPlus)
        if (!domains.set(side, minute + 1 - use.startPlus, note)) return false
      }
    }
    return true
  }

  private pushEnd(u: number, use: Use): boolean {
    const { domains, cuts, heights, capacity } = this
    const side = 2 * use.end + 1
    for (let i = heights.length - 1; i >= 0; i--) {
      const ends = use.endPlus - domains.bound[side]
      if (cuts[i + 1] <= ends - use.length) break
      if (cuts[i] >= ends || heights[i] + use.demand <= capacity || this.covers(use, cuts[i]))
        continue
      while (use.endPlus - domains.bound[side] > cuts[i]) {
        const minute = Math.max(cuts[i], use.endPlus - domains.bound[side] - use.length)
        const note = this.crowd(u, use, minute, side, use.endPlus - minute - use.length)
        if (!domains.set(side, use.endPlus - minute, note)) return false
      }
    }
    return true
  }

  /** Rules a use out whose part that must be there does not fit. */
  private forbid(u: number, use: Use): boolean {
    const { domains, cuts, heights, capacity } = this
    const from = this.latestStart(use)
    const to = this.earliestEnd(use)
    if (from >= to) return true
    for (let i = 0; i < heights.length && cuts[i] < to; i++) {
      if (cuts[i + 1] <= from || heights[i] + use.demand <= capacity) continue
      const minute = Math.max(from, cuts[i])
      const note = this.begin()
      this.say(2 * use.start + 1, use.startPlus - minute)
      this.say(2 * use.end, minute + 1 - use.endPlus)
      return domains.set(use.ifSide ^ 1, 1 - use.ifValue, this.others(note, u, minute, capacity - use.demand))
    }
    return true
  }

  private covers(use: Use, minute: number): boolean {
    return this.latestStart(use) <= minute && minute < this.earliestEnd(use)
  }

  private overload(minute: number): number {
    return this.others(this.begin(), -1, minute, this.capacity)
  }

  /** Why a use that is there cannot cover a minute, given one more literal about it. */
  private crowd(u: number, use: Use, minute: number, side: number, value: number): number {
    const note = this.begin()
    this.say(side, value)
    if (use.ifSide !== 0) this.say(use.ifSide, use.ifValue)
    return this.others(note, u, minute, this.capacity - use.demand)
  }

  private begin(): number {
    const { domains } = this
    const note = domains.notesSize++
    domains.notes[note] = 0
    return note
  }

  private say(side: number, value: number): void {
    const { domains } = this
    domains.notes[domains.notesSize++] = side
    domains.notes[domains.notesSize++] = value
  }

  /**
   * Adds uses that must be going on at a minute until they exceed what is left, the larger ones first; closes the note.
   */
  private others(note: number, but: number, minute: number, left: number): number {
    const { domains, uses } = this
    let sum = 0
    for (const large of [true, false]) {
      for (let o = 0; o < uses.length && sum <= left; o++) {
        const use = uses[o]
        if (o === but || (use.demand > 1) !== large || this.present(use) !== 1 || !this.covers(use, minute)) continue
        sum += use.demand
        this.say(2 * use.start + 1, use.startPlus - minute)
        this.say(2 * use.end, minute + 1 - use.endPlus)
        if (use.ifSide !== 0) this.say(use.ifSide, use.ifValue)
      }
    }
    domains.notes[note] = (domains.notesSize - note - 1) >> 1
    return because(REASON.note, note)
  }
}

function firstAtOrAfter(sorted: readonly number[], value: number): number {
  let low = 0
  let high = sorted.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (sorted[middle] < value) low = middle + 1
    else high = middle
  }
  return low
}
