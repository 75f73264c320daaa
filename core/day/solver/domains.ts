
/** Sides there is room for at first. */
const ROOM = 512

/**
 * Domains of whole-number variables with a trail, for lazy clause generation (Ohrimenko, Stuckey and Codish, 2009).
 *
 * Every variable v has two sides, each kept as a lower bound: side 2v holds the least value of v, side 2v + 1 the least
 * value of -v. A literal is a pair of a side and a value, "bound of the side is at least the value"; its negation is
 * the other side with 1 - value. A variable is yes or no by a domain of 0 to 1. Variable 0 is the constant 0, so that
 * the literal (0, 0) is always true.
 */
export class Domains {
  /** Least value of each side now; what comes after the last of the `sides` is room for more. */
  bound = new Int32Array(ROOM)
  /** Latest entry of the trail for each side, -1 if it stands as it does without any decision. */
  private latest = new Int32Array(ROOM).fill(-1)
  /** How many sides there are: two for each variable. */
  sides = 2
  readonly trailSide: number[] = []
  readonly trailOld: number[] = []
  readonly trailPrevious: number[] = []
  readonly trailReason: number[] = []
  /** Length of the trail; the arrays above may be longer. */
  trailSize = 0
  /** First entry of each level of decision; level 0 is what holds without any. */
  readonly levelStart: number[] = []
  private readonly levelNotes: number[] = []
  /** Reasons written down when they arose: a count, then pairs of side and value. */
  readonly notes: number[] = []
  notesSize = 0
  readonly queue: number[] = []
  queueHead = 0
  private readonly queued: boolean[] = [false, false]
  /** What failed: the literal that could not be set and why; a side of -1 means the reason alone. */
  failedSide = -1
  failedValue = 0
  failedReason = 0
  /** Called for each variable whose domain widens again. */
  onReopened: (variable: number) => void = () => undefined

  /** A new variable between two values; its number. */
  variable(least: number, most: number): number {
    const side = this.sides
    this.sides += 2
    if (this.sides > this.bound.length) this.makeRoom()
    this.bound[side] = least
    this.bound[side + 1] = -most
    this.queued.push(false, false)
    return side >> 1
  }

  private makeRoom(): void {
    const { bound, latest } = this
    this.bound = new Int32Array(2 * bound.length)
    this.bound.set(bound)
    this.latest = new Int32Array(2 * latest.length).fill(-1)
    this.latest.set(latest)
  }

  /** Number of decisions standing. */
  get level(): number { return this.levelStart.length }

  /** True if the literal holds. */
  isTrue(side: number, value: number): boolean { return this.bound[side] >= value }

  /** True if the literal cannot hold. */
  isFalse(side: number, value: number): boolean { return this.bound[side ^ 1] >= 1 - value }

  /** True if one value is left to the variable. */
  isFixed(variable: number): boolean {
    return this.bound[2 * variable] + this.bound[2 * variable + 1] === 0
  }

  /** Begins a level of decision. */
  push(): void {
    this.levelStart.push(this.trailSize)
    this.levelNotes.push(this.notesSize)
  }

  /**
   * Makes a literal true.
   *
   * @param reason as made by `because` or `REASON`; kept for the analysis of conflicts
   * @returns false if that empties the domain; what failed is then kept
   */
  set(side: number, value: number, reason: number): boolean {
    const old = this.bound[side]
    if (old >= value) return true
    if (value + this.bound[side ^ 1] > 0) {
      this.failedSide = side
      this.failedValue = value
      this.failedReason = reason
      return false
    }
    this.bound[side] = value
    if (this.levelStart.length > 0) {
      const at = this.trailSize++
      this.trailSide[at] = side
      this.trailOld[at] = old
      this.trailPrevious[at] = this.latest[side]
      this.trailReason[at] = reason
      this.latest[side] = at
    }
    if (!this.queued[side]) {
      this.queued[side] = true
      this.queue.push(side)
    }
    return true
  }

  /** Fails for a reason that needs no further literal. */
  fail(reason: number): false {
    this.failedSide = -1
    this.failedReason = reason
    return false
  }

  /** Next side that has changed, or -1. */
  next(): number {
    if (this.queueHead === this.queue.length) {
      this.queue.length = this.queueHead = 0
      return -1
    }
    const side = this.queue[this.queueHead++]
    this.queued[side] = false
    return side
  }

  /** Forgets what is still to be propagated. */
  clearQueue(): void {
    for (let i = this.queueHead; i < this.queue.length; i++) this.queued[this.queue[i]] = false
    this.queue.length = this.queueHead = 0
  }

  /** Entry of the trail by which a literal became true; -1 if it holds without any decision. */
  entryOf(side: number, value: number): number {
    let at = this.latest[side]
    while (at >= 0 && this.trailOld[at] >= value) at = this.trailPrevious[at]
    return at
  }

  /** Level of decision of an entry of the trail. */
  levelOf(entry: number): number {
    let low = 0
    let high = this.levelStart.length
    while (low < high) {
      const middle = (low + high) >> 1
      if (this.levelStart[middle] <= entry) low = middle + 1
      else high = middle
    }
    return low
  }

  /** Takes back all decisions above a level. */
  backTo(level: number): void {
    if (level >= this.levelStart.length) return
    const start = this.levelStart[level]
    for (let at = this.trailSize - 1; at >= start; at--) {
      const side = this.trailSide[at]
      this.bound[side] = this.trailOld[at]
      this.latest[side] = this.trailPrevious[at]
      this.onReopened(side >> 1)
    }
    this.trailSize = start
    this.notesSize = this.levelNotes[level]
    this.levelStart.length = level
    this.levelNotes.length = level
    this.clearQueue()
  }
}

/** Kinds of reasons, the low two bits of a reason. */
export const REASON = { decision: 0, lag: 1, nogood: 2, note: 3 } as const

/** A reason of a kind that points to a lag, a nogood or a note. */
export function because(kind: number, index: number): number {
  return (index << 2) | kind
}
