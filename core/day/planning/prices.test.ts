import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { seededRandom } from '../../maths/random/seededRandom'
import type { Day, DayDish } from '../problem/day'
import { DAY_WEIGHTS } from '../problem/dayWeights'
import { DayModel } from './model'
import { COST_SCALE } from './modelParts'
import { earlyCost } from '../problem/planCost'
import { nobodyThere } from '../problem/presence'
import { PriceBound } from './priceBound'
import { PricedDish } from './pricedDish'
import { Prices, type Draw } from './prices'
import { slidingLeast } from '../solver/slidingLeast'
import { DaySolver } from './solveDay'

describe('the least within a sliding window', () => {
  it('is that of looking at every value of every window', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 30 }),
        fc.integer({ min: -20, max: 30 }),
        fc.integer({ min: 0, max: 15 }),
        (cost, from, width) => {
          const least = new Float64Array(20)
          slidingLeast(Float64Array.from(cost), 3, cost.length, from, from + width, 20, least)
          for (let place = 0; place < 20; place++) {
            const seen = cost.filter((_, i) => i + 3 >= from + place && i + 3 <= from + width + place)
            expect(least[place]).toBe(Math.min(Infinity, ...seen))
          }
        },
      ),
      { numRuns: 300, seed: 5 },
    )
  })
})

/** A dish with a liquid that may be heated again, nuts fried before, and half an hour to do it in. */
const DISH: DayDish = {
  id: 'd1', template: 'semolina', meal: 'm1', serve: 'hot', sink: 'pour', ready: 2,
  activities: [
    { id: 'nuts', dur: [2, 3, 4], hands: 1, burner: 1 }, { id: 'heat', dur: [3, 4, 5], hands: 0.5, burner: 1 },
    { id: 'roast', dur: [4, 5, 6], hands: 1, burner: 1 }, { id: 'pour', dur: [2, 3, 4], hands: 1, burner: 1 },
  ],
  lags: [
    { from: 'nuts', to: 'pour', min: 0, max: null, kind: 'nuts' },
    { from: 'roast', to: 'pour', min: 0, max: 4, kind: 'hotbase' },
  ],
  holds: [{ need: 'heavy', first: 'roast', last: 'pour' }, { need: 'heavyL', first: 'nuts', last: 'nuts' }],
  hotPour: { heat: 'heat', pour: 'pour', max: 3, reheat: { dur: [2, 3, 4], maxWait: 14 } },
}
const DAY: Day = {
  id: 'small',
  now: 600,
  horizon: 660,
  cooks: 1,
  burners: 2,
  away: [{ cook: 'all', from: 608, to: 611, why: 'away' }],
  vessels: [
    { id: 'a', kind: 'heavy' },
    { id: 'b', kind: 'heavyL' },
  ],
  meals: [{ id: 'm1', at: 632 }],
  weights: DAY_WEIGHTS,
  dishes: [DISH],
}

/** Cheapest cost of the small dish by looking at all its times, in hundredths. */
function byLooking(model: DayModel, prices: Prices, span: number): number {
  const step = (id: string) => model.ofDish(DISH, id)
  const values = (id: string): number[] => {
    const { variable, length } = step(id)
    const low = model.search.domains.bound[2 * variable]!
    return Array.from({ length: -model.search.domains.bound[2 * variable + 1]! - low + 1 }, (_, i) => low + i).filter(
      value => {
        const to = model.origin - value
        return value + length <= span && !nobodyThere(DAY).some(([a, b]) => a < to && to - length < b)
      },
    )
  }
  const pay = (draws: readonly Draw[], from: number, to: number): number =>
    draws.reduce(
      (sum, { from: priced, weight }) => sum + weight * priced.price.subarray(from, to).reduce((a, b) => a + b, 0),
      0,
    )
  const stepCost = (id: string, value: number): number =>
    pay(prices.ofStep(step(id), 0), value, value + step(id).length)
  let best = Infinity
  for (const pour of values('pour')) {
    const early = Math.round(COST_SCALE * earlyCost(DAY, DISH, pour - DISH.ready))
    const open = pour + 3
    const nuts = Math.min(
      Infinity,
      ...values('nuts')
        .filter(value => value >= open)
        .map(value => stepCost('nuts', value) + pay(prices.ofHold('heavyL'), value, value + 3)),
    )
    const roast = Math.min(
      Infinity,
      ...values('roast')
        .filter(value => value >= open && value <= open + 4)
        .map(value => stepCost('roast', value) + pay(prices.ofHold('heavy'), pour, value + 5)),
    )
    const once = Math.min(
      Infinity,
      ...values('heat')
        .filter(value => value >= open && value <= open + 3)
        .map(value => stepCost('heat', value)),
    )
    const again = Array.from({ length: 4 }, (_, i) => pay(prices.ofReheat(step('heat')), open + i, open + i + 3))
    const first = Math.min(
      Infinity,
      ...values('heat')
        .filter(value => value >= open + 3 && value <= open + 14)
        .map(value => stepCost('heat', value)),
    )
    const liquid = Math.min(once, first + Math.min(...again) + COST_SCALE * DAY_WEIGHTS.reheat)
    best = Math.min(best, early + stepCost('pour', pour) + nuts + roast + liquid)
  }
  return best
}

describe('a dish under prices', () => {
  it('costs what looking at all its times gives, for any prices and reach', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 10, max: 32 }), (seed, span) => {
      const uniform = seededRandom(seed)
      const model = new DayModel(DAY)
      const prices = new Prices(model)
      for (const { price } of prices.all)
        for (let t = 0; t < price.length; t++) price[t] = uniform() < 0.4 ? 0 : 200 * uniform()
      prices.sum()
      const dish = new PricedDish(model, DISH, 0, prices)
      dish.reprice()
      const cost = dish.solve(span)
      const looked = byLooking(model, prices, span)
      if (looked === Infinity) expect(cost).toBe(Infinity)
      else {
        expect(cost).toBeCloseTo(looked, 6)
        expect(dish.reach).toBeLessThanOrEqual(span)
      }
    }), { numRuns: 120, seed: 3 })
  })

  it('counts as use what its prices were charged for', () => {
    const model = new DayModel(DAY)
    const prices = new Prices(model)
    prices.sum()
    const dish = new PricedDish(model, DISH, 0, prices)
    dish.reprice()
    dish.solve(32)
    dish.count(dish.values())
    const minutes = prices.all.map(({ used }) => {
      let use = 0
      return used.reduce((sum, change) => sum + (use += change), 0)
    })
    // Half hands: 2 a minute for nuts, roast and pour, 1 for heating. Fires: 15 minutes. Vessels: roast to pour, and
    // nuts, large among heavy.
    expect(minutes[0]).toBe(2 * (3 + 5 + 3) + 4)
    expect(minutes[1]).toBe(15)
    expect(minutes.slice(2).sort((a, b) => a - b)[0]).toBe(3)
  })
})

describe('the bound under prices', () => {
  it('is never above the best plan, for any day', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 4000 }), fc.integer({ min: 1, max: 4 }), (seed, dishes) => {
      const day = inventDay(seed, dishes)
      const solver = new DaySolver(day)
      for (let i = 0; i < 300 && !solver.done; i++) solver.step(() => false)
      if (!solver.proven || Object.values(solver.plan!.late).some(late => late > 0)) return
      const cost = Math.round(solver.plan!.cost * COST_SCALE)
      const bound = new PriceBound(day)
      for (let round = 0; round < 40 && !bound.done; round++) bound.round(cost + 1)
      expect(bound.low).toBeLessThanOrEqual(cost + 1e-6)
      expect(bound.low).toBeGreaterThan(0)
    }), { numRuns: 25, seed: 11 })
  })

  it('comes near to what many dishes cost, where time is all that is short', () => {
    const day = inventDay(2, 8)
    const solver = new DaySolver(day)
    for (let i = 0; i < 60; i++) solver.step(() => false)
    const cost = Math.round(solver.plan!.cost * COST_SCALE)
    const bound = new PriceBound(day)
    for (let round = 0; round < 150 && !bound.done; round++) bound.round(cost)
    expect(bound.low).toBeGreaterThan(0.75 * cost)
  })
})
