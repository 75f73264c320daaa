import type { Activity, Day, DayDish, Hold, VesselKind } from './day'
import { holdsOf } from './holdsOf'
import { Objective, type Term } from './objective'
import { earlyCost, nobodyThere, presentBefore } from './planCost'
import { Search } from './search'
import { Timetable, type Use } from './timetable'

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

/** A literal, or always (0, 0). */
interface Literal { readonly side: number, readonly value: number }
const ALWAYS: Literal = { side: 0, value: 0 }

/** A yes-or-no of the model and whom it is about, for neighbourhoods. */
export interface Choice {
  readonly variable: number
  /** Variables of the steps it is about. */
  readonly steps: readonly number[]
  /** True if only yes says something. */
  readonly oneSided: boolean
}

/** A liquid that may be heated again: whether, when, and the hands it takes, which are those of its first heating. */
interface Reheat {
  readonly dish: number
  readonly again: number
  readonly variable: number
  readonly length: number
  readonly hands: 0 | 0.5 | 1
  /** Variable of its first heating. */
  readonly from: number
}

/** A day as variables and constraints in mirrored time. */
export class DayModel {
  readonly search = new Search()
  readonly steps: Step[] = []
  readonly choices: Choice[] = []
  /** Minute at which mirrored time is 0. */
  readonly origin: number
  /** Variable of "heated again" and of when, by dish index. */
  readonly reheats: Reheat[] = []
  /** Lateness of each meal, where it is what is sought. */
  readonly lateness: number[] = []
  /** False if propagation alone shows that it cannot be done. */
  readonly possible: boolean
  private readonly byId = new Map<string, Step>()
  private readonly variables: number[] = []
  private readonly isChoice: boolean[] = []
  private readonly longest: Int32Array
  private readonly order = new Map<number, { readonly first: Literal, readonly second: Literal }>()

  /**
   * @param day checked beforehand by `checkDay`
   * @param seeks `plan` keeps to the meals and minimises the objective; `lateness` minimises the minutes meals are late
   */
  constructor(readonly day: Day, readonly seeks: 'plan' | 'lateness' = 'plan') {
    this.origin = seeks === 'plan' ? Math.max(...day.meals.map(meal => meal.at)) : day.horizon
    if (seeks === 'lateness') this.addLateness()
    day.dishes.forEach(dish => this.addSteps(dish))
    day.dishes.forEach((dish, index) => this.addDish(dish, index))
    for (const link of day.links ?? []) this.addLag(this.step(link.from), this.step(link.to), link.min, link.max)
    this.longest = this.longestPaths()
    this.addWishes()
    this.addHands()
    this.addVessels()
    this.addBurners()
    this.possible = !this.emptied && this.search.begin(new Objective(this.search.domains, this.terms()), this.variables, this.isChoice)
  }

  /** Start minutes of a solution. */
  starts(values: readonly number[]): Record<string, number> {
    const starts: Record<string, number> = {}
    for (const step of this.steps) starts[step.id] = this.origin - values[step.variable]! - step.length
    for (const reheat of this.reheats) {
      if (values[reheat.again] === 1) starts[`${this.day.dishes[reheat.dish]!.id}.reheat`] = this.origin - values[reheat.variable]! - reheat.length
    }
    return starts
  }

  private step(id: string): Step { return this.byId.get(id)! }
  private ofDish(dish: DayDish, activity: string): Step { return this.step(`${dish.id}.${activity}`) }

  private time(least: number, most: number): number {
    if (least > most) this.emptied = true
    const variable = this.search.domains.variable(Math.min(least, most), most)
    this.variables.push(variable)
    return variable
  }

  private choice(steps: readonly number[], oneSided: boolean): number {
    const variable = this.search.domains.variable(0, 1)
    this.variables.push(variable)
    this.isChoice[variable] = true
    this.choices.push({ variable, steps, oneSided })
    return variable
  }

  private addLateness(): void {
    this.day.meals.forEach((meal, index) => { this.lateness[index] = this.time(0, this.day.horizon - meal.at) })
  }

  private addSteps(dish: DayDish): void {
    const meal = this.day.meals.find(one => one.id === dish.meal)!
    for (const activity of dish.activities) {
      const length = activity.dur[1]
      const least = this.seeks === 'plan' ? this.origin - meal.at : 0
      const variable = this.time(least, this.origin - this.day.now - length)
      const step = { id: `${dish.id}.${activity.id}`, dish, activity, variable, length }
      this.steps.push(step)
      this.byId.set(step.id, step)
    }
  }

  private addLag(from: Step, to: Step, min: number, max: number | null, ifSide = 0, ifValue = 0): void {
    const { lags } = this.search
    lags.add(2 * to.variable, 2 * from.variable, to.length + min, ifSide, ifValue)
    if (max !== null) lags.add(2 * from.variable, 2 * to.variable, -to.length - max, ifSide, ifValue)
  }

  private addDish(dish: DayDish, index: number): void {
    for (const lag of dish.lags) this.addLag(this.ofDish(dish, lag.from), this.ofDish(dish, lag.to), lag.min, lag.max)
    this.addTable(dish)
    if (dish.hotPour) this.addHotPour(dish, index)
  }

  /** The dish is on the table in time, and not earlier than it bears. */
  private addTable(dish: DayDish): void {
    const { domains, lags } = this.search
    const meal = this.day.meals.findIndex(one => one.id === dish.meal)
    const table = this.origin - this.day.meals[meal]!.at + dish.ready
    const sink = this.ofDish(dish, dish.sink).variable
    const earliest = table + this.day.weights.maxEarly[dish.serve]
    if (this.seeks === 'plan') {
      if (!domains.set(2 * sink, table, 0) || !domains.set(2 * sink + 1, -earliest, 0)) this.emptied = true
    }
    else {
      lags.add(2 * this.lateness[meal]! + 1, 2 * sink, table)
      lags.add(2 * sink, 2 * this.lateness[meal]! + 1, -earliest)
    }
  }

  private emptied = false

  private addHotPour(dish: DayDish, index: number): void {
    const { lags } = this.search
    const { heat, pour, max, reheat } = dish.hotPour!
    const from = this.ofDish(dish, heat)
    const to = this.ofDish(dish, pour)
    const length = reheat.dur[1]
    this.addLag(from, to, 0, Math.max(max, reheat.maxWait))
    const again = this.choice([from.variable, to.variable], false)
    this.addLag(from, to, 0, max, 2 * again + 1, 0)
    this.addLag(from, to, 0, reheat.maxWait, 2 * again, 1)
    const variable = this.time(this.search.domains.bound[2 * to.variable]!, this.origin - this.day.now - length)
    lags.add(2 * to.variable, 2 * variable, to.length, 2 * again, 1)
    lags.add(2 * variable, 2 * to.variable, -to.length - max, 2 * again, 1)
    lags.add(2 * variable, 2 * from.variable, length, 2 * again, 1)
    this.reheats.push({ dish: index, again, variable, length, hands: from.activity.hands, from: from.variable })
  }

  /** Longest path between every two steps over what always holds; a very small number where there is none. */
  private longestPaths(): Int32Array {
    const { lags, domains } = this.search
    const size = domains.bound.length / 2
    const paths = new Int32Array(size * size).fill(-1e8)
    for (let v = 0; v < size; v++) paths[v * size + v] = 0
    for (let edge = 0; edge < lags.from.length; edge++) {
      if (lags.ifSide[edge] !== 0 || (lags.from[edge]! & 1) !== 0 || (lags.to[edge]! & 1) !== 0) continue
      const at = (lags.from[edge]! >> 1) * size + (lags.to[edge]! >> 1)
      paths[at] = Math.max(paths[at]!, lags.weight[edge]!)
    }
    for (let k = 0; k < size; k++) {
      for (let i = 0; i < size; i++) {
        const first = paths[i * size + k]!
        if (first < -1e7) continue
        for (let j = 0; j < size; j++) {
          const through = first + paths[k * size + j]!
          if (through > paths[i * size + j]!) paths[i * size + j] = through
        }
      }
    }
    return paths
  }

  private path(from: number, to: number): number {
    const size = Math.sqrt(this.longest.length)
    return from < size && to < size ? this.longest[from * size + to]! : -1e8
  }

  private addWishes(): void {
    const { domains, closures } = this.search
    for (const wish of this.day.wishes ?? []) {
      const step = this.step(wish.step)
      if (wish.kind === 'forbid') {
        closures.add(step.variable, this.origin - wish.to - step.length + 1, this.origin - wish.from - 1)
        continue
      }
      const value = this.origin - wish.start - step.length
      if (!domains.set(2 * step.variable, value, 0) || !domains.set(2 * step.variable + 1, -value, 0)) this.emptied = true
    }
  }

  private addHands(): void {
    const { day, search } = this
    const handed = this.steps.filter(step => step.activity.hands > 0)
    const doing = handed.map(step => this.whoDoes(step))
    const warmed = this.reheats.filter(reheat => reheat.hands > 0)
    const warming = warmed.map(reheat => this.whoReheats(reheat))
    for (let cook = 0; cook < day.cooks; cook++) {
      const uses = [...handed.flatMap((step, i) => doing[i]![cook] ? [this.use(step, 2 * step.activity.hands, doing[i]![cook]!)] : []),
        ...warmed.flatMap((reheat, i) => warming[i]![cook] ? [reheatUse(reheat, 2 * reheat.hands, warming[i]![cook]!)] : [])]
      search.timetables.push(new Timetable(search.domains, 2, uses))
      for (const away of day.away) {
        if (away.cook !== 'all' && away.cook !== cook) continue
        handed.forEach((step, i) => {
          const literal = doing[i]![cook]
          if (literal) this.closeTo(step.variable, step.length, away.from, away.to, literal)
        })
        warmed.forEach((reheat, i) => {
          const literal = warming[i]![cook]
          if (literal) this.closeTo(reheat.variable, reheat.length, away.from, away.to, literal)
        })
      }
    }
    if (day.cooks > 1) {
      const away = day.away.map(({ cook, from, to }): Use => ({ start: 0, startPlus: this.origin - to, end: 0, endPlus: this.origin - from,
        length: to - from, demand: cook === 'all' ? 2 * day.cooks : 2, ifSide: 0, ifValue: 0 }))
      if (!overlapping(day.away)) search.timetables.push(new Timetable(search.domains, 2 * day.cooks, [...away, ...handed.map(step => this.use(step, 2 * step.activity.hands, ALWAYS)),
        ...warmed.map(reheat => reheatUse(reheat, 2 * reheat.hands, { side: 2 * reheat.again, value: 1 }))]))
    }
    for (let i = 0; i < handed.length; i++) {
      for (let j = 0; j < i; j++) {
        if (handed[i]!.activity.hands + handed[j]!.activity.hands > 1) this.apart(handed[i]!, handed[j]!, both(doing[i]!, doing[j]!))
      }
    }
  }

  /** Literal of each cook doing a step; undefined for those who may not. */
  private whoDoes(step: Step): (Literal | undefined)[] {
    const { nogoods } = this.search
    const able = Array.from({ length: this.day.cooks }, (_, cook) => !step.activity.cooks || step.activity.cooks.includes(cook))
    const count = able.filter(Boolean).length
    if (count === 1) return able.map(may => may ? ALWAYS : undefined)
    if (count === 2) {
      const second = this.choice([step.variable], false)
      let seen = 0
      return able.map(may => !may ? undefined : seen++ === 0 ? { side: 2 * second + 1, value: 0 } : { side: 2 * second, value: 1 })
    }
    const literals = able.map(may => may ? { side: 2 * this.choice([step.variable], true), value: 1 } : undefined)
    const sides = literals.flatMap(literal => literal ? [literal.side] : [])
    nogoods.add([...sides], sides.map(() => 1), 0)
    sides.forEach((side, a) => sides.slice(0, a).forEach(other => nogoods.add([side ^ 1, other ^ 1], [0, 0], 0)))
    return literals
  }

  /** Literal of each cook heating a liquid again, none of which holds if it is not. */
  private whoReheats(reheat: Reheat): (Literal | undefined)[] {
    const { nogoods } = this.search
    const again = { side: 2 * reheat.again, value: 1 }
    const may = this.steps.find(step => step.variable === reheat.from)!.activity.cooks
    const able = Array.from({ length: this.day.cooks }, (_, cook) => !may || may.includes(cook))
    if (able.filter(Boolean).length === 1) return able.map(one => (one ? again : undefined))
    const all = able.map(one => (one ? { side: 2 * this.choice([reheat.from], true), value: 1 } : undefined))
    const literals = all.filter(literal => literal !== undefined)
    nogoods.add([again.side ^ 1, ...literals.map(literal => literal.side)], [0, ...literals.map(() => 1)], 0)
    for (const literal of literals) nogoods.add([literal.side ^ 1, again.side], [0, 1], 0)
    literals.forEach((a, i) => literals.slice(0, i).forEach(b => nogoods.add([a.side ^ 1, b.side ^ 1], [0, 0], 0)))
    return all
  }

  private use(step: Step, demand: number, literal: Literal): Use {
    return { start: step.variable, startPlus: 0, end: step.variable, endPlus: step.length, length: step.length, demand, ifSide: literal.side, ifValue: literal.value }
  }

  private closeTo(variable: number, length: number, from: number, to: number, literal: Literal): void {
    this.search.closures.add(variable, this.origin - to - length + 1, this.origin - from - 1, literal.side, literal.value)
  }

  /** Keeps two steps from overlapping whenever all literals of one of the lists hold. */
  private apart(a: Step, b: Step, when: readonly (readonly Literal[])[]): void {
    if (when.length === 0) return
    const key = Math.max(a.variable, b.variable) * 100_000 + Math.min(a.variable, b.variable)
    this.ordered(key, [a.variable, a.variable, a.length], [b.variable, b.variable, b.length], when)
  }

  /**
   * Two spans, each from the value of one variable to that of another plus a length, one before the other whenever all
   * literals of one of the lists hold.
   */
  private ordered(key: number, a: readonly [number, number, number], b: readonly [number, number, number], when: readonly (readonly Literal[])[]): void {
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
      nogoods.add([order.first.side, order.second.side, ...list.map(literal => literal.side ^ 1)], [order.first.value, order.second.value, ...list.map(literal => 1 - literal.value)], 0)
    }
  }

  private halfOrder(a: readonly [number, number, number], b: readonly [number, number, number]): { first: Literal, second: Literal } {
    const { lags } = this.search
    const first = this.choice([a[1], b[1]], true)
    const second = this.choice([a[1], b[1]], true)
    lags.add(2 * a[1], 2 * b[0], a[2], 2 * first, 1)
    lags.add(2 * b[1], 2 * a[0], b[2], 2 * second, 1)
    return { first: { side: 2 * first, value: 1 }, second: { side: 2 * second, value: 1 } }
  }

  private addVessels(): void {
    const { day, search } = this
    const counts = new Map<VesselKind, number>()
    for (const vessel of day.vessels) counts.set(vessel.kind, (counts.get(vessel.kind) ?? 0) + 1)
    const holds = day.dishes.flatMap(dish => holdsOf(dish).map(hold => ({ hold, literals: this.whichVessel(hold, dish, counts),
      first: this.ofDish(dish, hold.first), last: this.ofDish(dish, hold.last) })))
    const wash = day.washMin ?? 0
    for (const [kind, count] of counts) {
      const uses = holds.flatMap(held => held.literals.has(kind) ? [this.held(held.first, held.last, wash, held.literals.get(kind)!)] : [])
      if (uses.length > 1) search.timetables.push(new Timetable(search.domains, count, uses))
      if (count > 1) continue
      const here = holds.filter(held => held.literals.has(kind))
      here.forEach((a, i) => here.slice(0, i).forEach((b) => {
        const list = [a.literals.get(kind)!, b.literals.get(kind)!].filter(literal => literal.side !== 0)
        const key = -1 - (holds.indexOf(a) * 1000 + holds.indexOf(b))
        this.ordered(key, [a.last.variable, a.first.variable, a.first.length + wash], [b.last.variable, b.first.variable, b.first.length + wash], [list])
      }))
    }
    const heavy = holds.filter(held => held.hold.need === 'heavy' || held.hold.need === 'heavyL')
    const total = (counts.get('heavy') ?? 0) + (counts.get('heavyL') ?? 0)
    if (counts.has('heavy') && counts.has('heavyL') && heavy.length > total) search.timetables.push(new Timetable(search.domains, total, heavy.map(held => this.held(held.first, held.last, wash, ALWAYS))))
  }

  private held(first: Step, last: Step, wash: number, literal: Literal): Use {
    const length = Math.max(first.length, this.path(last.variable, first.variable) + first.length) + wash
    return { start: last.variable, startPlus: 0, end: first.variable, endPlus: first.length + wash, length, demand: 1, ifSide: literal.side, ifValue: literal.value }
  }

  /** Literal of each kind of vessel serving a hold. */
  private whichVessel(hold: Hold, dish: DayDish, counts: ReadonlyMap<VesselKind, number>): Map<VesselKind, Literal> {
    if (hold.need === 'heavy' && counts.has('heavyL')) {
      if (!counts.has('heavy')) return new Map([['heavyL', ALWAYS]])
      const large = this.choice([this.ofDish(dish, hold.first).variable], false)
      return new Map([['heavy', { side: 2 * large + 1, value: 0 }], ['heavyL', { side: 2 * large, value: 1 }]])
    }
    return new Map([[hold.need, ALWAYS]])
  }

  private addBurners(): void {
    const { day, search } = this
    const lit = this.steps.filter(step => step.activity.burner > 0)
    const again = this.reheats.map(reheat => reheatUse(reheat, 1, { side: 2 * reheat.again, value: 1 }))
    search.timetables.push(new Timetable(search.domains, day.burners, [...lit.map(step => this.use(step, 1, ALWAYS)), ...again]))
    for (const [from, to] of nobodyThere(day)) {
      for (const step of lit) this.closeTo(step.variable, step.length, from, to, ALWAYS)
      for (const reheat of this.reheats) this.closeTo(reheat.variable, reheat.length, from, to, { side: 2 * reheat.again, value: 1 })
    }
    if (day.burners === 1) lit.forEach((a, i) => lit.slice(0, i).forEach(b => this.apart(a, b, [[]])))
  }

  private terms(): Term[] {
    if (this.seeks === 'lateness') return this.lateness.map((variable, index) => this.term(variable, late => late, this.day.horizon - this.day.meals[index]!.at))
    const { day } = this
    const present = presentBefore(day)
    const spans = day.meals.flatMap((meal) => {
      const counted = this.steps.filter(step => step.dish.meal === meal.id && step.activity.hands > 0 && !step.activity.night)
      if (counted.length === 0) return []
      const zero = this.origin - meal.at
      const first = this.time(zero, this.origin - day.now)
      for (const step of counted) this.search.lags.add(2 * step.variable, 2 * first, step.length)
      return [this.term(first, value => day.weights.span * (present(meal.at) - present(this.origin - value)))]
    })
    const sinks = day.dishes.map((dish) => {
      const table = this.origin - day.meals.find(meal => meal.id === dish.meal)!.at + dish.ready
      return this.term(this.ofDish(dish, dish.sink).variable, value => earlyCost(day, dish, Math.max(0, value - table)))
    })
    return [...spans, ...sinks, ...this.reheats.map(reheat => this.term(reheat.again, value => day.weights.reheat * value))]
  }

  private term(variable: number, cost: (value: number) => number, most?: number): Term {
    const from = this.search.domains.bound[2 * variable]!
    const to = most ?? -this.search.domains.bound[2 * variable + 1]!
    return { variable, from, costs: Int32Array.from({ length: Math.max(1, to - from + 1) }, (_, i) => Math.round(COST_SCALE * cost(from + i))) }
  }
}

function reheatUse(reheat: Reheat, demand: number, literal: Literal): Use {
  return { start: reheat.variable, startPlus: 0, end: reheat.variable, endPlus: reheat.length, length: reheat.length, demand, ifSide: literal.side, ifValue: literal.value }
}

function overlapping(away: Day['away']): boolean {
  return away.some((a, i) => away.some((b, j) => j < i && (a.cook === 'all' || b.cook === 'all' || a.cook === b.cook) && a.from < b.to && b.from < a.to))
}

/** Pairs of literals under which the same cook does both. */
function both(a: readonly (Literal | undefined)[], b: readonly (Literal | undefined)[]): Literal[][] {
  return a.flatMap((literal, cook) => literal && b[cook] ? [[literal, b[cook]!].filter(one => one.side !== 0)] : [])
}
