import { itemAt, numberAt } from '../../maths/table/itemAt'
import type { Day } from '../problem/day'
import { DayModel } from './model'
import { PricedMeal } from './pricedMeal'
import { type Priced, Prices } from './prices'

/** Part of the last direction that is kept. */
const KEPT = 0.7
/** Rounds without a better bound after which steps become shorter, by how much, and how short they end. */
const PATIENCE = 12
const SHORTER = 1.5
const SHORTEST = 0.004
/** Times are bounded anew once the known cost has come down by this part of it. */
const BETTER = 0.02
/** A bound counts as better from this many hundredths; and what rounding may have added is taken off. */
const MUCH = 0.5
const ROUNDING = 1e-3

/**
 * A lower bound by Lagrangian relaxation: hands, fires and vessels may be exceeded at a price, so that each dish is
 * planned by itself. Prices rise where too much is used, along a deflected subgradient (Held, Wolfe and Crowder, 1974;
 * Camerini, Fratta and Maffioli, 1975). It bounds the plans that are cheaper than the best one known, within the times
 * they leave.
 */
export class PriceBound {
  /** No plan costs less, hundredths. */
  low = 0
  /** True once steps have become so short that little more will come. */
  done = false
  private known = Infinity
  private prices!: Prices
  private meals: readonly PricedMeal[] = []
  private theta = 1
  private stale = 0
  private highest = -Infinity
  private directions: Float64Array[] = []
  private best: Float64Array[] = []

  /** @param day checked by `checkDay` */
  constructor(private readonly day: Day) {}

  /**
   * One round: the bound under the present prices, then better prices.
   *
   * @param known cost of the best plan, hundredths
   * @returns values looked at
   */
  round(known: number): number {
    if (!(known > this.known * (1 - BETTER)) && !this.begin(known)) {
      this.low = known
      this.done = true
      return 1
    }
    const { all } = this.prices
    const before = this.work
    this.prices.sum()
    for (const priced of all) priced.used.fill(0)
    let value = this.meals.reduce((sum, meal) => sum + meal.solve(), 0)
    for (const { capacity, price, meal } of all)
      if (meal < 0) for (let t = 0; t < price.length; t++) value -= numberAt(capacity, t) * numberAt(price, t)
    this.low = Math.max(this.low, Math.min(this.known, value - ROUNDING))
    this.done = this.low >= known || !(this.move(value, known) && this.theta > SHORTEST)
    return this.work - before
  }

  private get work(): number { return this.meals.reduce((sum, meal) => sum + meal.work, 0) }

  /** Bounds the times of all plans cheaper than the one known; false if there are none. Prices are kept. */
  private begin(known: number): boolean {
    const model = new DayModel(this.day)
    if (!model.possible || !model.search.limit(known - 1)) return false
    const prices = new Prices(model)
    prices.all.forEach((priced, i) => {
      const old = this.best[i]
      if (old) priced.price.set(old.subarray(0, Math.min(old.length, priced.price.length)))
    })
    const served = this.day.meals.flatMap((meal, index) =>
      this.day.dishes.some(dish => dish.meal === meal.id) ? [index] : [],
    )
    this.known = known
    this.prices = prices
    this.meals = served.map(index => new PricedMeal(model, index, prices))
    this.directions = prices.all.map(({ price }) => new Float64Array(price.length))
    this.best = prices.all.map(({ price }) => price.slice())
    this.highest = -Infinity
    this.theta = Math.max(this.theta, 0.3)
    return true
  }

  /** Moves the prices; false where they already balance. */
  private move(value: number, known: number): boolean {
    const { all } = this.prices
    if (value > this.highest + MUCH) {
      this.highest = value
      this.stale = 0
      all.forEach(({ price }, i) => itemAt(this.best, i).set(price))
    }
    else if (++this.stale > PATIENCE) {
      this.stale = 0
      this.theta /= SHORTER
      all.forEach(({ price }, i) => {
        price.set(itemAt(this.best, i))
        itemAt(this.directions, i).fill(0)
      })
      return true
    }
    const norm = all.reduce((sum, priced, i) => sum + this.turn(priced, itemAt(this.directions, i)), 0)
    if (norm === 0) return false
    const step = this.theta * Math.max(1, known - value) / norm
    all.forEach(({ price }, i) => {
      const direction = itemAt(this.directions, i)
      for (let t = 0; t < price.length; t++) price[t] = Math.max(0, numberAt(price, t) + step * numberAt(direction, t))
    })
    return true
  }

  /** Turns a direction towards what is used too much; its square. */
  private turn(priced: Priced, direction: Float64Array): number {
    const { used, capacity, price } = priced
    const meal = this.meals.find(one => one.hands.includes(priced))
    const from = meal?.zero ?? 0
    const to = meal?.reach ?? price.length
    let use = 0
    let norm = 0
    for (let t = 0; t < price.length; t++) {
      use += numberAt(used, t)
      const slope = t < from ? 0 : use - (t < to ? numberAt(capacity, t) : 0)
      const turned = slope + KEPT * numberAt(direction, t)
      direction[t] = numberAt(price, t) <= 0 && turned < 0 ? 0 : turned
      norm += numberAt(direction, t) ** 2
    }
    return norm
  }
}
