import { because, REASON, type Domains } from './domains'

/** One lag: the bound of a side is at least that of another plus a weight, if a literal holds. */
export interface Edge {
  readonly index: number
  readonly from: number
  readonly to: number
  readonly weight: number
  /** The literal under which it holds; side 0 with value 0 for always. */
  readonly ifSide: number
  readonly ifValue: number
}

/**
 * Lags: "the bound of one side is at least that of another plus a weight", always or under a condition. Propagated both
 * ways, and towards the condition where the lag has become impossible; explained lazily (Feydy, Somogyi and Stuckey,
 * 2011, on half-reified differences).
 */
export class Lags {
  readonly edges: Edge[] = []
  private readonly out: Edge[][] = []
  private readonly byCondition: Edge[][] = []

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
    const edge: Edge = { index: this.edges.length, from, to, weight, ifSide, ifValue }
    this.edges.push(edge);
    (this.out[from] ??= []).push(edge)
    if (ifSide !== 0) (this.byCondition[ifSide] ??= []).push(edge)
  }

  /** Propagates a changed side; false on failure. */
  changed(side: number): boolean {
    const { domains } = this
    const { bound } = domains
    const out = this.out[side]
    const here = bound[side]
    if (out) {
      for (const { index, to, weight, ifSide, ifValue } of out) {
        const value = here + weight
        if (ifSide === 0 || bound[ifSide] >= ifValue) {
          if (bound[to] < value && !domains.set(to, value, because(REASON.lag, index))) return false
        }
        else if (value + bound[to ^ 1] > 0 && bound[ifSide ^ 1] < 1 - ifValue) {
          if (!domains.set(ifSide ^ 1, 1 - ifValue, noteOf(domains, side, here, to ^ 1, 1 - value))) return false
        }
      }
    }
    const conditioned = this.byCondition[side]
    if (conditioned) {
      for (const { index, from, to, weight, ifValue } of conditioned) {
        if (here < ifValue) continue
        if (!domains.set(to, bound[from] + weight, because(REASON.lag, index))) return false
      }
    }
    return true
  }

  /** Propagates everything once, for the start; false on failure. */
  all(): boolean {
    for (let side = 0; side < this.domains.sides; side++) if (!this.changed(side)) return false
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
