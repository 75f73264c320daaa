import { entryAt, intAt } from '../../maths/table/itemAt'
import type { Activity, Day, DayDish } from '../problem/day'
import type { Literal } from '../solver/literal'
import { Search } from '../solver/search'
import type { Use } from '../solver/timetable'

/** Hundredths in which the objective is counted, so that it is a whole number. */
export const COST_SCALE = 100

/** One step in the model: its variable is the time from its end to the end of the day, so that late is little. */
export interface Step {
  /** `dish.activity`. */
  readonly id: string
  readonly dish: DayDish
  readonly activity: Activity
  readonly variable: number
  readonly length: number
}

/** A yes-or-no of the model and whom it is about, for neighbourhoods. */
export interface VesselChoice {
  readonly variable: number
  /** Variables of the steps it is about. */
  readonly steps: readonly number[]
  /** True if only yes says something. */
  readonly oneSided: boolean
}

/** A liquid that may be heated again: whether, when, and the hands it takes, which are those of its first heating. */
export interface Reheat {
  readonly dish: number
  readonly again: number
  readonly variable: number
  readonly length: number
  readonly hands: 0 | 0.5 | 1
  /** Variable of its first heating. */
  readonly from: number
}

/**
 * What the model of a day is built from: variables in mirrored time, yes-or-no choices, lags, orders of pairs that must
 * not overlap, and spans that are closed.
 */
export class ModelParts {
  readonly search = new Search()
  readonly steps: Step[] = []
  readonly choices: VesselChoice[] = []
  /** Liquids that may be heated again. */
  readonly reheats: Reheat[] = []
  /** Minute at which mirrored time is 0. */
  readonly origin: number
  /** True once a domain is empty: the day cannot be done. */
  emptied = false
  protected readonly variables: number[] = []
  protected readonly isChoice: boolean[] = []
  private readonly byId = new Map<string, Step>()
  private longest: Int32Array = new Int32Array(0)
  private readonly order = new Map<number, { readonly first: Literal, readonly second: Literal }>()

  /**
   * @param day checked beforehand by `checkDay`
   * @param seeks `plan` keeps to the meals, `lateness` lets them move
   */
  constructor(readonly day: Day, readonly seeks: 'plan' | 'lateness') {
    this.origin = seeks === 'plan' ? Math.max(...day.meals.map(meal => meal.at)) : day.horizon
  }

  /** A step by `dish.activity`. */
  step(id: string): Step { return entryAt(this.byId, id) }

  /** A step of a dish. */
  ofDish(dish: DayDish, activity: string): Step { return this.step(`${dish.id}.${activity}`) }

  /** Adds a step. */
  addStep(step: Step): void {
    this.steps.push(step)
    this.byId.set(step.id, step)
  }

  /** A time between two values, both included. */
  time(least: number, most: number): number {
    if (least > most) this.emptied = true
    const variable = this.search.domains.variable(Math.min(least, most), most)
    this.variables.push(variable)
    return variable
  }

  /** A yes or no about some steps. */
  choice(steps: readonly number[], oneSided: boolean): number {
    const variable = this.search.domains.variable(0, 1)
    this.variables.push(variable)
    this.isChoice[variable] = true
    this.choices.push({ variable, steps, oneSided })
    return variable
  }

  /** A wait between the end of one step and the start of another, always or under a literal. */
  addLag(from: Step, to: Step, min: number, max: number | null, ifSide = 0, ifValue = 0): void {
    const { lags } = this.search
    lags.add(2 * to.variable, 2 * from.variable, to.length + min, ifSide, ifValue)
    if (max !== null) lags.add(2 * from.variable, 2 * to.variable, -to.length - max, ifSide, ifValue)
  }

  /** Fixes what is ordered already; called once all waits are in. */
  settleOrder(): void { this.longest = this.longestPaths() }

  /** Longest path between every two steps over what always holds; a very small number where there is none. */
  private longestPaths(): Int32Array {
    const { lags, domains } = this.search
    const size = domains.sides / 2
    const paths = new Int32Array(size * size).fill(-1e8)
    for (let v = 0; v < size; v++) paths[v * size + v] = 0
    for (const { from, to, weight, ifSide } of lags.edges) {
      if (ifSide !== 0 || (from & 1) !== 0 || (to & 1) !== 0) continue
      const at = (from >> 1) * size + (to >> 1)
      paths[at] = Math.max(intAt(paths, at), weight)
    }
    for (let k = 0; k < size; k++) {
      for (let i = 0; i < size; i++) {
        const first = intAt(paths, i * size + k)
        if (first < -1e7) continue
        for (let j = 0; j < size; j++) {
          const through = first + intAt(paths, k * size + j)
          if (through > intAt(paths, i * size + j)) paths[i * size + j] = through
        }
      }
    }
    return paths
  }

  /** Least distance between two variables by what always holds; a very small number where there is none. */
  path(from: number, to: number): number {
    const size = Math.sqrt(this.longest.length)
    return from < size && to < size ? intAt(this.longest, from * size + to) : -1e8
  }

  /** A step as the use of a resource. */
  use(step: Step, demand: number, literal: Literal): Use {
    return {
      start: step.variable,
      startPlus: 0,
      end: step.variable,
      endPlus: step.length,
      length: step.length,
      demand,
      ifSide: literal.side,
      ifValue: literal.value,
    }
  }

  /** Closes a span of the clock, minutes, to what lasts some time. */
  closeTo(variable: number, length: number, from: number, to: number, literal: Literal): void {
    this.search.closures.add(
      variable,
      this.origin - to - length + 1,
      this.origin - from - 1,
      literal.side,
      literal.value,
    )
  }

  /** Keeps two steps from overlapping whenever all literals of one of the lists hold. */
  apart(a: Step, b: Step, when: readonly (readonly Literal[])[]): void {
    if (when.length === 0) return
    const key = Math.max(a.variable, b.variable) * 100_000 + Math.min(a.variable, b.variable)
    this.ordered(key, [a.variable, a.variable, a.length], [b.variable, b.variable, b.length], when)
  }

  /**
   * Two spans, each from the value of one variable to that of another plus a length, one before the other whenever all
   * literals of one of the lists hold.
   */
  ordered(
    key: number,
    a: readonly [number, number, number],
    b: readonly [number, number, number],
    when: readonly (readonly Literal[])[],
  ): void {
    const { lags, nogoods } = this.search
    if (this.path(a[1], b[0]) >= a[2] || this.path(b[1], a[0]) >= b[2]) return
    const known = this.order.get(key)
    if (known === undefined && when.some(list => list.length === 0)) {
      const before = this.choice([a[1], b[1]], false)
      lags.add(2 * a[1], 2 * b[0], a[2], 2 * before, 1)
      lags.add(2 * b[1], 2 * a[0], b[2], 2 * before + 1, 0)
      this.order.set(key, { first: { side: 2 * before, value: 1 }, second: { side: 2 * before + 1, value: 0 } })
      return
    }
    if (known?.first.side === (known?.second.side ?? 0) - 1) return
    const order = known ?? this.halfOrder(a, b)
    this.order.set(key, order)
    for (const list of when) {
      nogoods.add(
        [order.first.side, order.second.side, ...list.map(literal => literal.side ^ 1)],
        [order.first.value, order.second.value, ...list.map(literal => 1 - literal.value)],
        0,
      )
    }
  }

  private halfOrder(
    a: readonly [number, number, number],
    b: readonly [number, number, number],
  ): { first: Literal, second: Literal } {
    const { lags } = this.search
    const first = this.choice([a[1], b[1]], true)
    const second = this.choice([a[1], b[1]], true)
    lags.add(2 * a[1], 2 * b[0], a[2], 2 * first, 1)
    lags.add(2 * b[1], 2 * a[0], b[2], 2 * second, 1)
    return { first: { side: 2 * first, value: 1 }, second: { side: 2 * second, value: 1 } }
  }
}
