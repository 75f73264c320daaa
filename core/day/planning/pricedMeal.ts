import { itemAt, numberAt, wholeAt } from '../../maths/table/itemAt'
import type { DayModel } from './model'
import { COST_SCALE } from './modelParts'
import { PricedDish } from './pricedDish'
import type { Priced, Prices } from './prices'

/**
 * Minutes between reaches for which a dish is planned anew; between them it is taken to be as cheap as with the longer
 * one.
 */
const REACH_STEP = 5

/**
 * A meal under prices: how long somebody is there for it (its reach, a minute of mirrored time) and its dishes within
 * that. Being there is paid by the minute and gives hands, which are worth their price.
 */
export class PricedMeal {
  /** Reach of the last solution. */
  reach = 0
  readonly hands: readonly Priced[]
  /** Mirrored minute of the meal. */
  readonly zero: number
  private readonly dishes: readonly PricedDish[]
  private readonly presence: Float64Array
  private readonly cheapest: Float64Array

  /**
   * @param model whose bounds are propagated
   * @param index of a meal that has dishes
   * @param prices of the model
   */
  constructor(private readonly model: DayModel, index: number, private readonly prices: Prices) {
    const { day, origin } = model
    const meal = itemAt(day.meals, index)
    this.zero = origin - meal.at
    this.dishes = day.dishes
      .filter(dish => dish.meal === meal.id)
      .map(dish => new PricedDish(model, dish, index, prices))
    this.hands = prices.all.filter(priced => priced.meal === index)
    this.presence = new Float64Array(prices.minutes + 1)
    this.cheapest = new Float64Array(prices.minutes + 1)
  }

  /** Values looked at, the measure of time spent. */
  get work(): number { return this.dishes.reduce((sum, dish) => sum + dish.work, 0) }

  /**
   * Cheapest reach and dishes under the present prices; what they use is counted.
   *
   * @returns a bound on the cost in hundredths; infinite if it cannot be done
   */
  solve(): number {
    this.payPresence()
    for (const dish of this.dishes) dish.reprice()
    const { presence, cheapest, zero } = this
    const costs: number[] = []
    const reaches = this.dishes.map(() => Infinity)
    const values: Int32Array[] = []
    let best = Infinity
    let bestValues: Int32Array[] = []
    let to = this.prices.minutes
    while (to > zero) {
      const sum = this.within(to, costs, reaches, values)
      if (!(sum + numberAt(cheapest, to) < best)) break
      const from = Math.max(zero, Math.min(Math.max(...reaches) - 1, to - REACH_STEP))
      for (let reach = from + 1; reach <= to; reach++) {
        if (numberAt(presence, reach) + sum >= best) continue
        best = numberAt(presence, reach) + sum
        this.reach = reach
        bestValues = values.slice()
      }
      to = from
      // A shorter reach makes no dish cheaper.
      while (to > zero && numberAt(presence, to) + sum >= best) to--
    }
    bestValues.forEach((one, i) => itemAt(this.dishes, i).count(one))
    return best
  }

  /** Plans the dishes that reach further anew; their cost together. */
  private within(to: number, costs: number[], reaches: number[], values: Int32Array[]): number {
    let sum = 0
    for (const [i, dish] of this.dishes.entries()) {
      if (wholeAt(reaches, i) > to) {
        costs[i] = dish.solve(to)
        if (costs[i] === Infinity) return Infinity
        reaches[i] = dish.reach
        values[i] = dish.values()
      }
      sum += wholeAt(costs, i)
    }
    return sum
  }

  /** What being there costs up to each minute, less what the hands that gives are worth. */
  private payPresence(): void {
    const { presence, cheapest, zero, prices } = this
    const { minutes, there } = prices
    const paid = COST_SCALE * this.model.day.weights.span
    for (let t = zero; t < minutes; t++) {
      let worth = 0
      for (const { capacity, price } of this.hands) worth += numberAt(capacity, t) * numberAt(price, t)
      presence[t + 1] = numberAt(presence, t) + (numberAt(there, t) > 0 ? paid : 0) - worth
      cheapest[t + 1] =
        t === zero ? numberAt(presence, t + 1) : Math.min(numberAt(cheapest, t), numberAt(presence, t + 1))
    }
  }
}
