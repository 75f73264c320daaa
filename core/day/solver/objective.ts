import { because, REASON, type Domains } from './domains'

/** What a variable's value costs: `costs[value - from]`, never falling, whole numbers. */
export interface CostTerm {
  readonly variable: number
  readonly from: number
  readonly costs: Int32Array
}

/**
 * The sum of what variables cost, held below the best plan known. Each term bounds its variable by what the others
 * leave; explanations are made as weak as the slack allows.
 */
export class Objective {
  /** The sum may not exceed this; a plan found lowers it. */
  most = 1_000_000_000

  constructor(private readonly domains: Domains, readonly terms: readonly CostTerm[]) {}

  /** Least sum under the present domains. */
  least(): number {
    let sum = 0
    for (const term of this.terms) sum += this.cost(term, this.domains.bound[2 * term.variable])
    return sum
  }

  private cost(term: CostTerm, value: number): number { return term.costs[value - term.from] }

  /** Propagates; false on failure. */
  propagate(): boolean {
    const { domains, terms } = this
    const least = this.least()
    if (least > this.most) return domains.fail(this.reason(null, least - this.most - 1))
    for (const term of terms) {
      const low = domains.bound[2 * term.variable]
      const high = -domains.bound[2 * term.variable + 1]
      const room = this.cost(term, low) + this.most - least
      if (this.cost(term, high) <= room) continue
      const value = lastWithin(term.costs, room) + term.from
      const slack = least - this.cost(term, low) + this.cost(term, value + 1) - this.most - 1
      if (!domains.set(2 * term.variable + 1, -value, this.reason(term, slack))) return false
    }
    return true
  }

  /** Literals of the other terms that keep the sum above the limit, weakened by the slack. */
  private reason(but: CostTerm | null, slack: number): number {
    const { domains } = this
    const note = domains.notesSize++
    let left = slack
    for (const term of this.terms) {
      if (term === but) continue
      const low = domains.bound[2 * term.variable]
      const cost = this.cost(term, low)
      if (cost === term.costs[0]) continue
      const weak = firstAbove(term.costs, cost - left - 1) + term.from
      if (weak <= term.from) {
        left -= cost - term.costs[0]
        continue
      }
      left -= cost - this.cost(term, weak)
      domains.notes[domains.notesSize++] = 2 * term.variable
      domains.notes[domains.notesSize++] = weak
    }
    domains.notes[note] = (domains.notesSize - note - 1) >> 1
    return because(REASON.note, note)
  }
}

/** Last index whose cost is at most this. */
function lastWithin(costs: Int32Array, most: number): number {
  return firstAbove(costs, most) - 1
}

/** First index whose cost is more than this. */
function firstAbove(costs: Int32Array, most: number): number {
  let low = 0
  let high = costs.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (costs[middle] > most) high = middle
    else low = middle + 1
  }
  return low
}
