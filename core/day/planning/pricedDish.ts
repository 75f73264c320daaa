import { entryAt, intAt, itemAt, numberAt } from '../../maths/table/itemAt'
import type { DayDish } from '../problem/day'
import { holdsOf } from '../problem/holdsOf'
import type { DayModel } from './model'
import { COST_SCALE, type Step } from './modelParts'
import { earlyCost } from '../problem/planCost'
import { nobodyThere } from '../problem/presence'
import { costAt, leastIn, sharesOfDraws, type Node } from './pricedNode'
import type { Prices } from './prices'
import { slidingLeast } from '../solver/slidingLeast'

/**
 * One dish of a day by itself under prices: the cheapest values of its steps, exactly, by dynamic programming over the
 * tree of its waits. Waits that would close a circle, and the wait between a first heating and a second, are left out,
 * which can only make it cheaper.
 */
export class PricedDish {
  /** Values looked at so far. */
  work = 0
  private readonly nodes = new Map<string, Node>()
  private readonly roots: Node[] = []
  private readonly again: Node[] = []
  /** All nodes, those of heating again last. */
  private readonly list: readonly Node[]
  private readonly once: Float64Array
  private readonly first: Float64Array
  private readonly second: Float64Array

  /**
   * @param model whose bounds are propagated
   * @param dish one of its dishes
   * @param meal index of its meal
   * @param prices of the model
   */
  constructor(
    private readonly model: DayModel,
    private readonly dish: DayDish,
    private readonly meal: number,
    private readonly prices: Prices,
  ) {
    for (const { id } of [...dish.activities].sort((a, b) => Number(b.id === dish.sink) - Number(a.id === dish.sink))) {
      if (this.nodes.has(id)) continue
      const root = this.node(id)
      this.roots.push(root)
      this.grow(id, root)
    }
    this.list = [...this.nodes.values(), ...this.again]
    const longest = Math.max(...this.list.map(node => node.size))
    this.once = new Float64Array(longest)
    this.first = new Float64Array(longest)
    this.second = new Float64Array(longest)
    for (const { need, first, last } of holdsOf(dish)) {
      for (const draw of prices.ofHold(need)) {
        entryAt(this.nodes, first)
          .shares.push({ ...draw, plus: entryAt(this.nodes, first).length + (model.day.washMin ?? 0), sign: 1 })
        entryAt(this.nodes, last).shares.push({ ...draw, plus: 0, sign: -1 })
      }
    }
  }

  private node(id: string): Node {
    const { model, dish } = this
    const step = model.ofDish(dish, id)
    const low = intAt(model.search.domains.bound, 2 * step.variable)
    const node = this.emptyNode(
      low,
      -intAt(model.search.domains.bound, 2 * step.variable + 1) - low + 1,
      step.length,
      step.activity.hands > 0 && !step.activity.night,
    )
    const table = model.origin - itemAt(model.day.meals, this.meal).at + dish.ready
    for (let i = 0; i < node.size; i++) {
      if (id === dish.sink)
        node.own[i] = Math.round(COST_SCALE * earlyCost(model.day, dish, Math.max(0, low + i - table)))
    }
    this.close(node, step)
    node.shares.push(...sharesOfDraws(this.prices.ofStep(step, this.meal), step.length))
    this.nodes.set(id, node)
    return node
  }

  private emptyNode(low: number, size: number, length: number, counted: boolean): Node {
    const array = (): Float64Array => new Float64Array(Math.max(1, size))
    return {
      low,
      size: Math.max(1, size),
      length,
      own: array(),
      shares: [],
      counted,
      branches: [],
      priced: array(),
      cost: array(),
      value: low,
    }
  }

  /**
   * Closes what no plan can have: nobody who may do it is there for all of it, no fire may burn, or it is wished away.
   */
  private close(node: Node, step: Step): void {
    const { day, origin } = this.model
    const closed: (readonly [number, number])[] = step.activity.burner > 0 ? [...nobodyThere(day)] : []
    for (const wish of day.wishes ?? [])
      if (wish.kind === 'forbid' && wish.step === step.id) closed.push([wish.from, wish.to])
    const able = step.activity.cooks ?? Array.from({ length: day.cooks }, (_, cook) => cook)
    const away =
      step.activity.hands > 0 ? able.map(cook => day.away.filter(one => one.cook === 'all' || one.cook === cook)) : []
    for (let i = 0; i < node.size; i++) {
      const to = origin - node.low - i
      const from = to - node.length
      const gone = away.length > 0 && away.every(spans => spans.some(span => span.from < to && from < span.to))
      if (gone || closed.some(span => span[0] < to && from < span[1])) node.own[i] = Infinity
    }
  }

  /** Hangs on a step what waits for it or on it, as far as that closes no circle. */
  private grow(id: string, node: Node): void {
    const { dish } = this
    const length = node.length
    if (dish.hotPour?.pour === id && !this.nodes.has(dish.hotPour.heat)) {
      const { heat, max, reheat } = dish.hotPour
      const step = this.model.ofDish(dish, heat)
      const child = this.node(heat)
      const again = this.emptyNode(node.low + length, node.size + max, reheat.dur[1], false)
      again.shares.push(...sharesOfDraws(this.prices.ofReheat(step), reheat.dur[1]))
      this.again.push(again)
      node.branches.push({
        child,
        least: length,
        most: length + max,
        again: {
          node: again,
          least: length,
          most: length + max,
          childLeast: length + reheat.dur[1],
          childMost: length + Math.max(max, reheat.maxWait),
          price: COST_SCALE * this.model.day.weights.reheat,
        },
      })
      this.grow(heat, child)
    }
    for (const lag of dish.lags) {
      const other = lag.to === id ? lag.from : lag.from === id ? lag.to : null
      if (other === null || this.nodes.has(other)) continue
      const child = this.node(other)
      const most = lag.max ?? 1e7
      node.branches.push(
        lag.to === id
          ? { child, least: length + lag.min, most: length + most, again: null }
          : { child, least: -child.length - most, most: -child.length - lag.min, again: null },
      )
      this.grow(other, child)
    }
  }

  /** Takes up prices that have changed. */
  reprice(): void {
    for (const node of this.list) {
      node.priced.set(node.own)
      for (const { from, weight, plus, sign } of node.shares) {
        const { before } = from
        const last = before.length - 1
        const offset = node.low + plus
        for (let i = 0; i < node.size; i++)
          node.priced[i] = numberAt(node.priced, i) + sign * weight * numberAt(before, Math.min(last, offset + i))
      }
    }
  }

  /**
   * Cheapest values under the prices last taken up.
   *
   * @param span mirrored minute after which nobody is there for the meal
   * @returns cost in hundredths, infinite if it cannot be done
   */
  solve(span: number): number {
    let sum = 0
    for (const root of this.roots) {
      this.fold(root, span)
      let best = 0
      for (let i = 1; i < root.size; i++) if (numberAt(root.cost, i) < numberAt(root.cost, best)) best = i
      sum += numberAt(root.cost, best)
      if (sum === Infinity) return sum
      this.choose(root, root.low + best)
    }
    return sum
  }

  private fold(node: Node, span: number): void {
    const { once, first, second } = this
    node.cost.set(node.priced)
    this.work += node.size
    if (node.counted) node.cost.fill(Infinity, Math.max(0, Math.min(node.size, span - node.length - node.low + 1)))
    for (const { child, least, most, again } of node.branches) {
      this.fold(child, span)
      slidingLeast(child.cost, child.low, child.size, node.low + least, node.low + most, node.size, once)
      if (again) {
        again.node.cost.set(again.node.priced)
        slidingLeast(
          child.cost,
          child.low,
          child.size,
          node.low + again.childLeast,
          node.low + again.childMost,
          node.size,
          first,
        )
        slidingLeast(
          again.node.cost,
          again.node.low,
          again.node.size,
          node.low + again.least,
          node.low + again.most,
          node.size,
          second,
        )
        for (let i = 0; i < node.size; i++)
          once[i] = Math.min(numberAt(once, i), numberAt(first, i) + numberAt(second, i) + again.price)
      }
      for (let i = 0; i < node.size; i++) node.cost[i] = numberAt(node.cost, i) + numberAt(once, i)
    }
  }

  private choose(node: Node, value: number): void {
    node.value = value
    for (const { child, least, most, again } of node.branches) {
      const once = leastIn(child, value + least, value + most)
      if (!again) {
        this.choose(child, once)
        continue
      }
      const first = leastIn(child, value + again.childLeast, value + again.childMost)
      const second = leastIn(again.node, value + again.least, value + again.most)
      const twice = costAt(child, first) + costAt(again.node, second) + again.price < costAt(child, once)
      again.node.value = twice ? second : -1
      this.choose(child, twice ? first : once)
    }
  }

  /** Mirrored minute up to which somebody has to be there for the last solution. */
  get reach(): number {
    let reach = 0
    for (const node of this.list) if (node.counted) reach = Math.max(reach, node.value + node.length)
    return reach
  }

  /** Values of the last solution, to be counted later. */
  values(): Int32Array {
    return Int32Array.from(this.list, node => node.value)
  }

  /** Counts what values draw on, as differences between neighbouring minutes. */
  count(values: Int32Array): void {
    let at = 0
    for (const node of this.list) {
      const value = intAt(values, at++)
      if (value < 0) continue
      for (const { from, weight, plus, sign } of node.shares)
        from.used[Math.min(from.used.length - 1, value + plus)] =
          numberAt(from.used, Math.min(from.used.length - 1, value + plus)) - sign * weight
    }
  }
}
