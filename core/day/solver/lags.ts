import { itemAt } from '../../maths/table/itemAt'
import { because, REASON, type Domains } from './domains'

/**
 * Lags: "the bound of one side is at least that of another plus a weight", always or under a condition. Propagated both
 * ways, and towards the condition where the lag has become impossible; explained lazily (Feydy, Somogyi and Stuckey,
 * 2011, on half-reified differences).
 */
export class Lags {
  readonly from: number[] = []
  readonly to: number[] = []
  readonly weight: number[] = []
  readonly ifSide: number[] = []
  readonly ifValue: number[] = []
  private readonly out: number[][] = []
  private readonly byCondition: number[][] = []

  constructor(private readonly domains: Domains) {}

  /**
   * Adds x_j ≥ x_i + weight, or any such relation of two sides, with its mirror image.
   *
   * @param from side of the earlier
   * @param to side of the later
   * @param weight whole number, may be negative
   * @param ifSide side of the literal under which it holds; 0 with value 0 for always
   * @param ifValue value of that literal
   */
  add(from: number, to: number, weight: number, ifSide = 0, ifValue = 0): void {
    this.one(from, to, weight, ifSide, ifValue)
    this.one(to ^ 1, from ^ 1, weight, ifSide, ifValue)
  }

  private one(from: number, to: number, weight: number, ifSide: number, ifValue: number): void {
    const edge = this.from.push(from) - 1
    this.to.push(to)
    this.weight.push(weight)
    this.ifSide.push(ifSide)
    this.ifValue.push(ifValue);
    (this.out[from] ??= []).push(edge)
    if (ifSide !== 0) (this.byCondition[ifSide] ??= []).push(edge)
  }

  /** Propagates a changed side; false on failure. */
  changed(side: number): boolean {
    const { domains, to, weight, ifSide, ifValue } = this
    const bound = domains.bound
    const out = this.out[side]
    const here = itemAt(bound, side)
    if (out) {
      for (let i = 0; i < out.length; i++) {
        const edge = itemAt(out, i)
        const condition = itemAt(ifSide, edge)
        const value = here + itemAt(weight, edge)
        const target = itemAt(to, edge)
        if (condition === 0 || itemAt(bound, condition) >= itemAt(ifValue, edge)) {
          if (itemAt(bound, target) < value && !domains.set(target, value, because(REASON.lag, edge))) return false
        }
        else if (value + itemAt(bound, target ^ 1) > 0 && itemAt(bound, condition ^ 1) < 1 - itemAt(ifValue, edge)) {
          const note = noteOf(domains, side, here, target ^ 1, 1 - value)
          if (!domains.set(condition ^ 1, 1 - itemAt(ifValue, edge), note)) return false
        }
      }
    }
    const conditioned = this.byCondition[side]
    if (conditioned) {
      for (let i = 0; i < conditioned.length; i++) {
        const edge = itemAt(conditioned, i)
        if (here < itemAt(ifValue, edge)) continue
        if (
          !domains.set(
            itemAt(to, edge),
            itemAt(bound, itemAt(this.from, edge)) + itemAt(weight, edge),
            because(REASON.lag, edge),
          )
        )
          return false
      }
    }
    return true
  }

  /** Propagates everything once, for the start; false on failure. */
  all(): boolean {
    for (let side = 0; side < this.domains.bound.length; side++) if (!this.changed(side)) return false
    return true
  }
}

/** Writes down a reason of two literals. */
function noteOf(domains: Domains, side1: number, value1: number, side2: number, value2: number): number {
  const at = domains.notesSize
  const notes = domains.notes
  notes[at] = 2
  notes[at + 1] = side1
  notes[at + 2] = value1
  notes[at + 3] = side2
  notes[at + 4] = value2
  domains.notesSize = at + 5
  return because(REASON.note, at)
}
