import { because, REASON, type Domains } from './domains'

/** A clause: at least one of its literals holds. The first two are watched. */
export interface Nogood {
  sides: Int32Array
  values: Int32Array
  /** Levels of decision it spanned when it was learnt; 0 if it belongs to the model. */
  readonly spread: number
  gone: boolean
}

const FORGOTTEN = new Int32Array(0)

/** Clauses of the model and those learnt from conflicts, with two watched literals each (Moskewicz et al., 2001). */
export class Nogoods {
  readonly all: Nogood[] = []
  /** By side whose growth may falsify a watched literal: index of the clause, then the value at which it does. */
  private watching: number[][] = []
  /** How many of them were learnt. */
  learnt = 0

  constructor(private readonly domains: Domains) {}

  /**
   * Adds a clause of at least two literals, the first two of them not both false, or the first the one to be set.
   *
   * @returns its index, for reasons
   */
  add(sides: readonly number[], values: readonly number[], spread: number): number {
    const index = this.all.push(
      { sides: Int32Array.from(sides), values: Int32Array.from(values), spread, gone: false },
    ) - 1
    if (spread > 0) this.learnt++
    for (const watched of [0, 1]) this.watch(index, sides[watched], values[watched])
    return index
  }

  private watch(index: number, side: number, value: number): void {
    (this.watching[side ^ 1] ??= []).push(index, 1 - value)
  }

  /** Propagates a changed side; false on failure. */
  changed(side: number): boolean {
    const list = this.watching[side]
    if (!list) return true
    const { domains } = this
    const bound = domains.bound
    const here = bound[side]
    let kept = 0
    let failed = false
    for (let at = 0; at < list.length; at += 2) {
      const index = list[at]
      const threshold = list[at + 1]
      if (!failed && here >= threshold) {
        const { sides, values } = this.all[index]
        if ((sides[0] ^ 1) === side && 1 - values[0] === threshold) swap(sides, values, 0, 1)
        if (bound[sides[0]] < values[0]) {
          if (this.moveWatch(index, sides, values)) continue
          failed = !domains.set(sides[0], values[0], because(REASON.nogood, index))
        }
      }
      list[kept++] = index
      list[kept++] = threshold
    }
    list.length = kept
    return !failed
  }

  private moveWatch(index: number, sides: Int32Array, values: Int32Array): boolean {
    const bound = this.domains.bound
    for (let i = 2; i < sides.length; i++) {
      if (bound[sides[i] ^ 1] >= 1 - values[i]) continue
      swap(sides, values, 1, i)
      this.watch(index, sides[1], values[1])
      return true
    }
    return false
  }

  /** Forgets the half of the learnt clauses that spanned most levels, but those that are reasons now. */
  forgetHalf(): void {
    const { domains } = this
    const isReason = new Set<number>()
    for (let at = 0; at < domains.trailSize; at++) {
      const reason = domains.trailReason[at]
      if ((reason & 3) === REASON.nogood) isReason.add(reason >> 2)
    }
    const learnt = this.all.map((_, index) => index)
      .filter(index => this.all[index].spread > 2 && !this.all[index].gone && !isReason.has(index))
      .sort((a, b) => this.all[b].spread - this.all[a].spread || a - b)
    for (const index of learnt.slice(0, learnt.length >> 1)) {
      const nogood = this.all[index]
      nogood.gone = true
      nogood.sides = nogood.values = FORGOTTEN
      this.learnt--
    }
    this.watching = this.watching.map((list) => {
      const kept: number[] = []
      for (let i = 0; i < list.length; i += 2)
        if (!this.all[list[i]].gone) kept.push(list[i], list[i + 1])
      return kept
    })
  }
}

function swap(sides: Int32Array, values: Int32Array, a: number, b: number): void {
  const side = sides[a]
  const value = values[a]
  sides[a] = sides[b]
  values[a] = values[b]
  sides[b] = side
  values[b] = value
}
