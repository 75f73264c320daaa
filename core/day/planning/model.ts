import { mealOf } from '../problem/parts'
import { intAt, itemAt, wholeAt } from '../../maths/table/itemAt'
import { addBurners } from './addBurners'
import { addHands } from './addHands'
import { addVessels } from './addVessels'
import type { HotPour, Day, DayDish, Stands } from '../problem/day'
import { ModelParts } from './modelParts'
import { Objective } from '../solver/objective'
import { termsOf } from './termsOf'

/**
 * A day as variables and constraints in mirrored time: each step's variable is the time from its end to the end of the
 * day.
 */
export class DayModel extends ModelParts {
  /** Lateness of each meal, where it is what is sought. */
  readonly lateness: number[] = []
  /** False if propagation alone shows that it cannot be done. */
  readonly possible: boolean

  /**
   * @param day checked beforehand by `checkDay`
   * @param seeks `plan` keeps to the meals and minimises the objective; `lateness` minimises the minutes meals are late
   */
  constructor(day: Day, seeks: 'plan' | 'lateness' = 'plan') {
    super(day, seeks)
    if (seeks === 'lateness') this.addLateness()
    day.dishes.forEach(dish => this.addSteps(dish))
    day.dishes.forEach((dish, index) => this.addDish(dish, index))
    for (const link of day.links ?? []) this.addLag(this.step(link.from), this.step(link.to), link.min, link.max)
    this.settleOrder()
    this.addWishes()
    addHands(this)
    addVessels(this)
    addBurners(this)
    this.possible =
      !this.emptied
      && this.search.begin(
        new Objective(this.search.domains, termsOf(this, this.lateness)),
        this.variables,
        this.isChoice,
      )
  }

  /** Start minutes of a solution. */
  starts(values: readonly number[]): Record<string, number> {
    const starts: Record<string, number> = {}
    for (const step of this.steps) starts[step.id] = this.origin - wholeAt(values, step.variable) - step.length
    for (const reheat of this.reheats) {
      if (values[reheat.again] === 1)
        starts[`${itemAt(this.day.dishes, reheat.dish).id}.reheat`] = this.origin - wholeAt(values, reheat.variable) - reheat.length
    }
    return starts
  }

  private addLateness(): void {
    this.day.meals.forEach((meal, index) => { this.lateness[index] = this.time(0, this.day.horizon - meal.at) })
  }

  private addSteps(dish: DayDish): void {
    const meal = mealOf(this.day, dish)
    for (const activity of dish.activities) {
      const length = activity.dur[1]
      const least = this.seeks === 'plan' ? this.origin - meal.at : 0
      // What is begun is held at a start in the past.
      const begun = this.day.wishes?.find(wish => wish.kind === 'pin' && wish.step === `${dish.id}.${activity.id}`)
      const earliest = Math.min(this.day.now, begun?.kind === 'pin' ? begun.start : this.day.now)
      const variable = this.time(least, this.origin - earliest - length)
      this.addStep({ id: `${dish.id}.${activity.id}`, dish, activity, variable, length })
    }
  }

  private addDish(dish: DayDish, index: number): void {
    for (const lag of dish.lags) this.addLag(this.ofDish(dish, lag.from), this.ofDish(dish, lag.to), lag.min, lag.max)
    this.addTable(dish)
    if (dish.stands) this.addStands(dish, dish.stands)
    if (dish.hotPour) this.addHotPour(dish, dish.hotPour, index)
  }

  /** The dish is on the table in time, and not earlier than it bears. */
  private addTable(dish: DayDish): void {
    const { domains, lags } = this.search
    const meal = this.day.meals.findIndex(one => one.id === dish.meal)
    const table = this.origin - itemAt(this.day.meals, meal).at + dish.ready
    const sink = this.ofDish(dish, dish.sink).variable
    const earliest = table + this.day.weights.maxEarly[dish.serve]
    if (this.seeks === 'plan') {
      if (!domains.set(2 * sink, table, 0) || !domains.set(2 * sink + 1, -earliest, 0)) this.emptied = true
    }
    else {
      lags.add(2 * wholeAt(this.lateness, meal) + 1, 2 * sink, table)
      lags.add(2 * sink, 2 * wholeAt(this.lateness, meal) + 1, -earliest)
    }
  }

  /** What perishes stands no longer outside the cold than it may. */
  private addStands(dish: DayDish, { from, most }: Stands): void {
    const { domains, lags } = this.search
    const meal = this.day.meals.findIndex(one => one.id === dish.meal)
    const variable = this.ofDish(dish, from).variable
    const furthest = this.origin - itemAt(this.day.meals, meal).at + most
    if (this.seeks === 'plan') {
      if (!domains.set(2 * variable + 1, -furthest, 0)) this.emptied = true
    }
    else lags.add(2 * variable, 2 * wholeAt(this.lateness, meal) + 1, -furthest)
  }

  private addHotPour(dish: DayDish, hotPour: HotPour, index: number): void {
    const { lags } = this.search
    const { heat, pour, max, reheat } = hotPour
    const from = this.ofDish(dish, heat)
    const to = this.ofDish(dish, pour)
    const length = reheat.dur[1]
    this.addLag(from, to, 0, Math.max(max, reheat.maxWait))
    const again = this.choice([from.variable, to.variable], false)
    this.addLag(from, to, 0, max, 2 * again + 1, 0)
    this.addLag(from, to, 0, reheat.maxWait, 2 * again, 1)
    const variable = this.time(intAt(this.search.domains.bound, 2 * to.variable), this.origin - this.day.now - length)
    lags.add(2 * to.variable, 2 * variable, to.length, 2 * again, 1)
    lags.add(2 * variable, 2 * to.variable, -to.length - max, 2 * again, 1)
    lags.add(2 * variable, 2 * from.variable, length, 2 * again, 1)
    this.reheats.push({ dish: index, again, variable, length, hands: from.activity.hands, from: from.variable })
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
      if (!domains.set(2 * step.variable, value, 0) || !domains.set(2 * step.variable + 1, -value, 0))
        this.emptied = true
    }
  }
}
