import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { exampleDish, exampleSpread } from '../../../test/support/spreads'
import { forecastCook } from '../../process/forecast/forecastCook'
import { milkMark } from '../../formulation/preparing/reduceMilk'
import { checkPlan } from '../problem/checkPlan'
import { checkDay } from '../problem/checkDay'
import type { Day } from '../problem/day'
import { dayOf } from './dayOf'
import { reliefsOf } from '../problem/offersOf'
import { cookOnDay, dishOnDay, vesselsOfKitchen, type Wanted } from './putOnDay'
import { shareableOf } from './shareable'
import { DaySolver } from '../planning/solveDay'
import type { SpreadDish } from './spread'
import { canThicken, thickenedG, thickenedSpan } from './thickenedMilk'

const card = STARTER_DISHES.find(dish => dish.id === 'winter-market-carrot')!
const kitchen = { ...FIRST_KITCHEN, settings: [] }
const put = (more: Partial<Wanted>): SpreadDish => {
  const wanted: Wanted = { id: 'd1', card, baseG: 900, meal: 'm1', serve: 'warm', ...more }
  const cook = cookOnDay(wanted, kitchen, INGREDIENTS, [])
  return dishOnDay(wanted, cook, forecastCook(cook.plan, [], 0, 20), INGREDIENTS)
}
const planOf = (baseG: number) =>
  cookOnDay({ id: 'd1', card, baseG, meal: 'm1', serve: 'warm' }, kitchen, INGREDIENTS, []).plan

function solved(day: Day): DaySolver {
  const solver = new DaySolver(day)
  for (let i = 0; i < 80 && !solver.done; i++) solver.step(() => false)
  return solver
}

describe('milk boiled down', () => {
  it('takes as long as its water needs from the fire, with the spread of that fire', () => {
    const plan = planOf(900)
    expect(thickenedG(plan.amounts)).toBeCloseTo(0.12 * 900, 6)
    const [short, likely, long] = thickenedSpan(100, plan)
    const { watts } = milkMark(plan.fires.pan!.marks)
    // 400 g of water at 2257 J/g and half a kilogram of milk brought to the boil, by hand.
    const minutes = (400 * 2257 + 500 * 3.9 * (100.3 - plan.airC)) / (0.82 * watts) / 60
    expect(Math.abs(likely - minutes)).toBeLessThanOrEqual(0.5)
    const { spread } = plan.belief.entries.find(one => one.name === 'mainFire')!
    expect(Math.log(long / short) / 2).toBeCloseTo(1.2816 * spread, 1)
    expect(thickenedSpan(200, plan)[1]).toBeGreaterThan(1.9 * likely)
    const known = {
      ...plan,
      belief: { entries: plan.belief.entries.map(one => (one.name === 'mainFire' ? { ...one, spread: 0.05 } : one)) },
    }
    expect(thickenedSpan(100, known)[2] - thickenedSpan(100, known)[0]).toBeLessThan((long - short) / 3)
  })

  it('is a step only of the dish that is to make it', () => {
    expect(put({}).steps.activities.map(one => one.id)).not.toContain('khoya')
    const made = put({ thickens: true })
    expect(made.thickens).toBe(true)
    expect(made.steps.activities.find(one => one.id === 'khoya')!.dur).toEqual(thickenedSpan(108, planOf(900)))
  })

  it('is no step where there is hardly any, or more than anybody boils down at once', () => {
    expect([4.9, 5, 4000, 4001].map(canThicken)).toEqual([false, true, true, false])
    for (const baseG of [40, 20_000]) {
      const much = put({
        thickens: true,
        baseG,
        card: {
          ...card,
          ingredients: card.ingredients.map(one =>
            one.ingredient === 'khoya' && baseG > 1000 ? { ...one, perBase: 0.3 } : one,
          ),
        },
      })
      expect(much.steps.activities.map(one => one.id)).not.toContain('khoya')
    }
  })

  it('is made once for two dishes, and then takes as long as both', () => {
    const dishes = [put({ thickens: true }), put({ id: 'd2', thickens: true, baseG: 600 })]
    const what = shareableOf(exampleSpread({ dishes })).find(one => one.kind === 'thickened')!
    expect(what).toEqual({ kind: 'thickened', steps: ['khoya'], from: 'd1', for: 'd2' })
    const spread = exampleSpread({
      dishes,
      shared: [{ step: 'khoya', from: 'd1', for: 'd2' }],
      ...vesselsOfKitchen(kitchen),
    })
    const day = dayOf(spread, 600)
    const [first, second] = dishes.map(dish => dish.steps.activities.find(one => one.id === 'khoya')!.dur)
    expect(day.dishes[0]!.activities.find(one => one.id === 'khoya')!.dur).toEqual(
      first!.map((minutes, at) => minutes + second![at]!),
    )
    expect(day.dishes[1]!.activities.map(one => one.id)).not.toContain('khoya')
    expect(day.links).toEqual([expect.objectContaining({ from: 'd1.khoya', min: 30, max: null })])
    expect(checkDay(day)).toEqual([])
    const { plan } = solved(day)
    expect(plan!.late).toEqual({})
    expect(checkPlan(day, plan!.starts)).toEqual([])
  })
})

describe('shelves in the cold', () => {
  const cold = (id: string): SpreadDish => {
    const dish = exampleDish(id)
    return { ...dish, serve: 'cold', steps: { ...dish.steps,
      activities: [
        ...dish.steps.activities,
        { id: 'chill', dur: [2, 3, 4], hands: 1, burner: 0 },
        { id: 'take-out', dur: [1, 2, 3], hands: 1, burner: 0 },
      ],
      lags: [
        ...dish.steps.lags,
        { from: 'pour', to: 'chill', min: 20, max: 120, kind: 'milk' },
        { from: 'chill', to: 'take-out', min: 90, max: 1440, kind: 'cold' },
      ],
      holds: [...dish.steps.holds, { need: 'cold', first: 'chill', last: 'take-out' }], sink: 'take-out', ready: 2 } }
  }
  const shelves = (count: number): Day =>
    dayOf(
      exampleSpread({
        dishes: [cold('d1'), cold('d2')],
        vessels: [
          ...exampleSpread().vessels,
          ...Array.from({ length: count }, (_, i) => ({ id: `c${i}`, name: `Shelf ${i}`, kind: 'cold' as const })),
        ],
      }),
      1440 + 400,
    )
  const inTheCold = (day: Day): [number, number][] => day.dishes.map((dish) => {
    const { starts } = solved(day).plan!
    return [starts[`${dish.id}.chill`]!, starts[`${dish.id}.take-out`]!]
  })

  it('hold one dish each: with one, the second goes in when the first is out', () => {
    const day = shelves(1)
    expect(checkPlan(day, solved(day).plan!.starts, solved(day).plan!.late)).toEqual([])
    const [[, out], [into]] = inTheCold(day).sort((a, b) => a[0] - b[0]) as [[number, number], [number, number]]
    expect(into).toBeGreaterThan(out)
    expect(reliefsOf(day).map(one => one.kind)).toContain('cold')
  })

  it('are enough for two, and are not counted where none is named', () => {
    const cost = (count: number): number => solved(shelves(count)).plan!.cost
    expect(cost(2)).toBeLessThanOrEqual(cost(1))
    expect(cost(0)).toBeCloseTo(cost(2), 6)
    expect(shelves(0).dishes[0]!.holds.map(hold => hold.need)).not.toContain('cold')
  })
})
