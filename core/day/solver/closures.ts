import { because, REASON, type Domains } from './domains'

/** Values a variable must not take, first and last, under a literal (side 0 with value 0: always). */
interface Closure {
  readonly variable: number
  readonly first: number
  readonly last: number
  readonly ifSide: number
  readonly ifValue: number
}

/** Spans of values that are closed to a variable: nobody there, asleep, forbidden. */
export class Closures {
  private readonly bySide: Closure[][] = []

  constructor(private readonly domains: Domains) {}

  /** Closes a span of values, both ends included. */
  add(variable: number, first: number, last: number, ifSide = 0, ifValue = 0): void {
    if (last < first) return
    const closure = { variable, first, last, ifSide, ifValue }
    for (const side of [2 * variable, 2 * variable + 1]) (this.bySide[side] ??= []).push(closure)
    if (ifSide !== 0) (this.bySide[ifSide] ??= []).push(closure)
  }

  /** Propagates a changed side; false on failure. */
  changed(side: number): boolean {
    const list = this.bySide[side]
    if (!list) return true
    for (const closure of list) if (!this.keepOut(closure)) return false
    return true
  }

  private keepOut({ variable, first, last, ifSide, ifValue }: Closure): boolean {
    const { domains } = this
    const low = domains.bound[2 * variable]
    const high = -domains.bound[2 * variable + 1]
    if (low > last || high < first) return true
    if (domains.isTrue(ifSide, ifValue)) {
      if (low >= first && !domains.set(2 * variable, last + 1, this.note(2 * variable, first, ifSide, ifValue)))
        return false
      return (
        high > last || domains.set(2 * variable + 1, 1 - first, this.note(2 * variable + 1, -last, ifSide, ifValue))
      )
    }
    if (low < first || high > last || domains.isFalse(ifSide, ifValue)) return true
    return domains.set(ifSide ^ 1, 1 - ifValue, this.note(2 * variable, first, 2 * variable + 1, -last))
  }

  private note(side1: number, value1: number, side2: number, value2: number): number {
    const { domains } = this
    const at = domains.notesSize
    domains.notes[at] = side2 === 0 ? 1 : 2
    domains.notes[at + 1] = side1
    domains.notes[at + 2] = value1
    domains.notes[at + 3] = side2
    domains.notes[at + 4] = value2
    domains.notesSize = at + (side2 === 0 ? 3 : 5)
    return because(REASON.note, at)
  }
}
