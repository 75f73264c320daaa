import { numberAt } from '../../maths/table/itemAt'
import type { Draw } from './prices'

/** What a value pays, or is paid back: the prices of all minutes before it and some more. */
export interface Share extends Draw { readonly plus: number, readonly sign: 1 | -1 }

/** Something that is given a value: a step, or heating again. */
export interface Node {
  readonly low: number
  readonly size: number
  readonly length: number
  /** Cost of each value without prices; infinite where it is closed. */
  readonly own: Float64Array
  readonly shares: Share[]
  /** True if it has to lie within the time in which somebody is there for the meal. */
  readonly counted: boolean
  readonly branches: Branch[]
  /** Cost of each value under the present prices, and with all that hangs on it. */
  readonly priced: Float64Array
  readonly cost: Float64Array
  /** Value of the last solution; -1 for a heating again that is not done. */
  value: number
}

/** What hangs on a node: its value lies between two distances from that of the node, or between others at a price. */
export interface Branch {
  readonly child: Node
  readonly least: number
  readonly most: number
  readonly again: {
    readonly node: Node
    readonly least: number
    readonly most: number
    readonly childLeast: number
    readonly childMost: number
    readonly price: number
  } | null
}

/** The prices a value pays from its own minute, and is paid back to there: draws of a step that takes so long, min. */
export function sharesOfDraws(draws: readonly Draw[], length: number): Share[] {
  return draws.flatMap((draw): Share[] => [{ ...draw, plus: length, sign: 1 }, { ...draw, plus: 0, sign: -1 }])
}

/** What a value of a node costs with all that hangs on it; infinite for one that is not done. */
export function costAt(node: Node, value: number): number {
  return value < 0 ? Infinity : numberAt(node.cost, value - node.low)
}

/** Cheapest value between two; -1 if there is none. */
export function leastIn(node: Node, from: number, to: number): number {
  let best = -1
  for (let value = Math.max(from, node.low); value <= Math.min(to, node.low + node.size - 1); value++) {
    if (best < 0 || numberAt(node.cost, value - node.low) < numberAt(node.cost, best - node.low)) best = value
  }
  return best
}
