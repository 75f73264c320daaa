import type { Domains } from './domains'

/**
 * Which variable is decided next: the one met most in late conflicts (VSIDS; Moskewicz et al., 2001), kept in a binary
 * heap; before any conflict, the one whose least value is smallest.
 */
export class Branching {
  private readonly activity: number[] = []
  private readonly heap: number[] = []
  private readonly place: number[] = []
  private step = 1

  /**
   * @param variables what may be decided
   * @param isChoice true for yes-or-no variables, which are decided as they stood last; others take their least value
   */
  constructor(
    private readonly domains: Domains,
    readonly variables: readonly number[],
    readonly isChoice: readonly boolean[],
    readonly phase: number[],
  ) {
    for (const variable of variables) {
      this.activity[variable] = 0
      this.place[variable] = -1
    }
    for (const variable of variables) this.insert(variable)
  }

  /** Raises a variable met in a conflict. */
  meet(variable: number): void {
    if (this.activity[variable] === undefined) return
    this.activity[variable] = this.activity[variable] + this.step
    if (this.activity[variable] > 1e100) this.rescale()
    if (this.place[variable] >= 0) this.rise(this.place[variable])
  }

  /** Ends a conflict: earlier ones weigh less from now on. */
  decay(): void {
    this.step /= 0.95
  }

  /** Puts back what may be open again after going back. */
  reopen(variable: number): void {
    if (this.place[variable] === -1) this.insert(variable)
  }

  /** The most active open variable, or -1. */
  mostActive(): number {
    while (this.heap.length > 0) {
      const top = this.heap[0]
      if (!this.domains.isFixed(top)) return top
      this.removeTop()
    }
    return -1
  }

  /** The open variable whose least value is smallest, times before choices; -1 if none is open. */
  earliest(): number {
    let best = -1
    let least = Infinity
    for (const variable of this.variables) {
      if (this.domains.isFixed(variable)) continue
      const value = this.isChoice[variable] ? 1e9 : this.domains.bound[2 * variable]
      if (value < least) {
        least = value
        best = variable
      }
    }
    return best
  }

  private insert(variable: number): void {
    this.place[variable] = this.heap.push(variable) - 1
    this.rise(this.heap.length - 1)
  }

  private removeTop(): void {
    const top = this.heap[0]
    const last = this.heap[this.heap.length - 1]
    this.heap.length--
    this.place[top] = -1
    if (this.heap.length === 0) return
    this.heap[0] = last
    this.place[last] = 0
    this.sink()
  }

  private rise(from: number): void {
    const { heap, place, activity } = this
    const variable = heap[from]
    let at = from
    while (at > 0) {
      const above = (at - 1) >> 1
      if (activity[heap[above]] >= activity[variable]) break
      heap[at] = heap[above]
      place[heap[at]] = at
      at = above
    }
    heap[at] = variable
    place[variable] = at
  }

  private sink(): void {
    const { heap, place, activity } = this
    const variable = heap[0]
    let at = 0
    for (;;) {
      let below = 2 * at + 1
      if (below >= heap.length) break
      if (below + 1 < heap.length && activity[heap[below + 1]] > activity[heap[below]])
        below++
      if (activity[heap[below]] <= activity[variable]) break
      heap[at] = heap[below]
      place[heap[at]] = at
      at = below
    }
    heap[at] = variable
    place[variable] = at
  }

  private rescale(): void {
    for (const variable of this.variables) this.activity[variable] = this.activity[variable] * 1e-100
    this.step *= 1e-100
  }
}
