import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { CoreError } from '../../error'
import { stageDish } from '../../formulation/stages/stageDish'
import { forecastCook } from '../../process/forecast/forecastCook'
import { checkDay } from '../problem/checkDay'
import { checkPlan } from '../problem/checkPlan'
import type { Day, ServedHow } from '../problem/day'
import { DAY_WEIGHTS } from '../problem/dayWeights'
import { dayOf } from './dayOf'
import { dishSteps } from './dishSteps'
import { cookOnDay, dishOnDay, usualServing, vesselsOfKitchen } from './putOnDay'
import { shareableOf } from './shareable'
import { DaySolver } from '../planning/solveDay'
import type { Spread } from './spread'
import { stageSpans } from './stageSpans'

const spansOf = (id: string): Parameters<typeof dishSteps> => {
  const dish = stageDish(STARTER_DISHES.find(one => one.id === id)!)
  return [
    dish,
    stageSpans(dish, { stages: [], sides: [] }),
    { id: 'd1', meal: 'm1', serve: 'warm' as ServedHow, large: false },
  ]
}

describe('steps of a dish', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s can be planned by itself, with nothing left out', (id) => {
    const [dish, spans, day] = spansOf(id)
    const steps = dishSteps(dish, spans, day)
    const alone: Day = {
      id,
      now: 1020,
      horizon: 3300,
      cooks: 1,
      burners: 2,
      away: [{ cook: 'all', from: 1350, to: 1830, why: 'sleep' }],
      meals: [{ id: 'm1', at: 2580 }],
      weights: DAY_WEIGHTS,
      dishes: [steps],
      vessels: (['heavyL', 'heavy', 'pot', 'pot', 'ppan', 'grinder', 'tray'] as const).map((kind, i) => ({
        id: `v${i}`,
        kind,
      })),
    }
    expect(checkDay(alone)).toEqual([])
    const solver = new DaySolver(alone)
    for (let i = 0; i < 60 && !solver.done; i++) solver.step(() => false)
    expect(solver.plan!.late).toEqual({})
    expect(checkPlan(alone, solver.plan!.starts)).toEqual([])
    const worked = dish.stages
      .filter(stage => stage.hands !== 0 && stage.does !== 'cool')
      .reduce((sum, stage) => sum + spans[stage.id]![1], 0)
    const planned = steps.activities
      .filter(activity => activity.hands > 0)
      .reduce((sum, activity) => sum + activity.dur[1], 0)
    expect(planned).toBeGreaterThanOrEqual(worked - 8)
  })

  it('make soaking and setting waits, and keep a liquid to its pour', () => {
    const [dish, spans, day] = spansOf('long-spoon-mung')
    const steps = dishSteps(dish, spans, day)
    expect(steps.lags.find(lag => lag.to === 'grind')).toMatchObject({ from: 'wash', min: 255, max: 840 })
    expect(steps.hotPour).toMatchObject({ heat: 'hot-milk', pour: 'pour', max: 10 })
    expect(steps.activities.find(activity => activity.id === 'pour')!.hot).toBe(true)
    const slab = dishSteps(...spansOf('one-thread-gram'))
    expect(slab.sink).toBe('cut')
    expect(slab.holds.find(hold => hold.need === 'tray')).toMatchObject({ last: 'cut' })
    expect(slab.hotPour).toMatchObject({ heat: 'syrup', max: 5 })
  })

  it('keep a pan for the roast and the deep one for the liquid from the start, where grain is rained in', () => {
    const steps = dishSteps(...spansOf('well-head-semolina'))
    expect(steps.holds).toContainEqual({ need: 'heavy', first: 'roast-dry', last: 'rain' })
    expect(steps.holds).toContainEqual({ need: 'heavy', first: 'hot-water', last: 'sweeten' })
    expect(steps.holds.some(hold => hold.need === 'pot')).toBe(false)
    expect(steps.lags.find(lag => lag.from === 'roast-dry' && lag.to === 'rain')).toMatchObject({ max: 60 })
    expect(steps.hotPour).toMatchObject({ heat: 'hot-water', pour: 'rain' })
  })

  it('grate the second lot after the first, while that cooks', () => {
    const [dish, spans, day] = spansOf('winter-market-carrot')
    const steps = dishSteps(dish, spans, day)
    expect(steps.lags).toContainEqual({ from: 'grate', to: 'grate-2', min: 0, max: null, kind: 'lots' })
    expect(steps.lags.find(lag => lag.from === 'grate-2')).toMatchObject({ to: 'soften-2', kind: 'grated' })
    expect(steps.activities.find(activity => activity.id === 'grate-2')).toMatchObject({
      hands: 0.5,
      burner: 0,
      dur: spans.grate,
    })
  })

  it('set a cold dish into the cold before its meal', () => {
    const [dish, spans, day] = spansOf('winter-market-carrot')
    const steps = dishSteps(dish, spans, { ...day, serve: 'cold' })
    expect(steps.sink).toBe('take-out')
    expect(steps.lags.find(lag => lag.from === 'chill')).toMatchObject({ to: 'take-out', min: 90, max: 1440 })
    expect(steps.holds).toContainEqual({ need: 'cold', first: 'chill', last: 'take-out' })
  })

  it('stand outside the cold from the last fire on, a rest under the lid with it', () => {
    const fromOf = (id: string) => {
      const [dish, spans, day] = spansOf(id)
      return dishSteps(dish, spans, { ...day, stands: { most: 120, warms: [2, 3, 5] } }).stands
    }
    expect(fromOf('milk-morning-semolina')).toEqual({ from: 'take-up', most: 120, warms: [2, 3, 5] })
    expect(fromOf('lantern-vermicelli')!.from).toBe('take-up')
    expect(fromOf('pocket-wheat-balls')!.from).toBe('roast')
    expect(fromOf('winter-market-carrot')!.from).toBe('milk')
  })

  it('thicken milk where it is made here, in time to cool and no longer before than it keeps', () => {
    const [dish, spans, day] = spansOf('winter-market-carrot')
    expect(dishSteps(dish, spans, day).activities.map(one => one.id)).not.toContain('khoya')
    const steps = dishSteps(dish, { ...spans, khoya: [20, 30, 45] }, day)
    expect(steps.activities.find(one => one.id === 'khoya')).toEqual({
      id: 'khoya',
      dur: [20, 30, 45],
      hands: 0.5,
      burner: 1,
    })
    const lag = steps.lags.find(one => one.from === 'khoya')!
    expect(lag).toMatchObject({ min: 30, max: 2880 })
    expect(steps.activities.map(one => one.id)).toContain(lag.to)
    expect(steps.holds).toContainEqual({ need: 'heavy', first: 'khoya', last: 'khoya' })
    const without = dishSteps(
      stageDish(STARTER_DISHES.find(one => one.id === 'sweet-water-semolina')!),
      { ...spansOf('sweet-water-semolina')[1], khoya: [20, 30, 45] },
      day,
    )
    expect(without.activities.map(one => one.id)).not.toContain('khoya')
  })
})

describe('a dish on a household\'s day', () => {
  const kitchen = { ...FIRST_KITCHEN, settings: [] }
  const card = STARTER_DISHES.find(dish => dish.id === 'sweet-water-semolina')!
  const wanted = { id: 'd1', card, baseG: 180, meal: 'm1', serve: usualServing(card) }
  const cook = cookOnDay(wanted, kitchen, INGREDIENTS, [])
  const forecast = forecastCook(cook.plan, [], 0, 40)
  const dish = dishOnDay(wanted, cook, forecast, INGREDIENTS)

  it('takes its minutes from the windows of its forecast', () => {
    const roast = dish.steps.activities.find(activity => activity.id === 'roast')!
    expect(roast.dur[1]).toBe(Math.max(1, Math.round((forecast.stages[2]!.middle - forecast.stages[1]!.middle) / 60)))
    expect(roast.dur[0]).toBeLessThanOrEqual(roast.dur[1])
    expect(roast.dur[2]).toBeGreaterThan(roast.dur[1])
    expect(dish.turn).toBe('pour')
    expect(dish.colours.length).toBeGreaterThan(10)
  })

  it('is measured with the cup of the house, whatever else stands before it', () => {
    const spoon = { ...kitchen.measures[0]!, id: 'spoon', kind: 'tablespoon' as const, volumeMl: 15 }
    const first = cookOnDay(wanted, { ...kitchen, measures: [spoon, ...kitchen.measures] }, INGREDIENTS, [])
    expect(first.plan).toEqual(cook.plan)
    expect(() => cookOnDay(wanted, { ...kitchen, measures: [spoon] }, INGREDIENTS, [])).toThrow(CoreError)
  })

  it('is warmed through from the cold in the minutes that its middle flame takes, and stands from its last fire', () => {
    const carrot = STARTER_DISHES.find(one => one.id === 'winter-market-carrot')!
    for (const baseG of [400, 1600]) {
      const asked = { id: 'd1', card: carrot, baseG, meal: 'm1', serve: 'warm' as const }
      const milky = cookOnDay(asked, kitchen, INGREDIENTS, [])
      const { steps } = dishOnDay(asked, milky, forecastCook(milky.plan, [], 0, 40), INGREDIENTS)
      const { marks } = milky.plan.fires.pan!
      // Some 3 J/(g·K) of a moist sweet from 5 to 75 °C, six tenths of the flame into it; what is cooked down weighs a
      // share of what went in.
      const wentInG = milky.plan.amounts.reduce((sum, one) => sum + one.massG, 0)
      const [least, most] = [0.35, 1].map(share =>
        share * wentInG * 3 * 70 / (0.6 * marks[Math.floor(marks.length / 2)]!.watts) / 60)
      const [early, usual, late] = steps.stands!.warms!
      expect(usual).toBeGreaterThan(least!)
      expect(usual).toBeLessThan(most!)
      expect([early, late]).toEqual([Math.round(0.8 * usual), Math.ceil(1.5 * usual)])
      expect(steps.activities.find(one => one.id === steps.stands!.from)!.burner).toBe(1)
    }
  })

  it('is done by who stands at the fire, what is shared is done once, and nights are slept', () => {
    const two: Spread = {
      id: 's',
      revision: 0,
      name: 'Two',
      eve: '2026-11-26',
      meals: [{ id: 'm1', name: 'Dinner', at: 2580 }],
      dishes: [dish, { ...dish, id: 'd2' }],
      hands: [
        { id: 'h1', name: 'You', roasts: true, away: [] },
        { id: 'h2', name: 'Helper', roasts: false, away: [{ from: 2000, to: 2100, why: 'out' }] },
      ],
      nights: { from: 1350, to: 390 },
      ...vesselsOfKitchen(kitchen),
      washMin: 5,
      wishes: [],
      shared: [{ step: 'nuts', from: 'd1', for: 'd2' }],
      promises: [],
      plan: null,
      doings: [],
      cooks: [],
    }
    const day = dayOf(two, 1000)
    expect(day.dishes[1]!.activities.some(activity => activity.id === 'nuts')).toBe(false)
    expect(shareableOf(two).map(one => [one.kind, one.from, one.for])).toEqual([['nuts', 'd1', 'd2']])
    expect(day.dishes[0]!.activities.find(activity => activity.id === 'nuts')!.dur[1]).toBeGreaterThan(
      dish.steps.activities.find(activity => activity.id === 'nuts')!.dur[1],
    )
    expect(day.links).toEqual([{ from: 'd1.nuts', to: 'd2.roast', min: 0, max: null, kind: 'nuts' }])
    expect(
      day.dishes[0]!.activities.filter(activity => activity.hot || activity.burner > 0)
        .filter(activity => activity.hands > 0)
        .every(activity => activity.cooks?.join() === '0'),
    ).toBe(true)
    expect(day.away.filter(away => away.cook === 'all').length).toBeGreaterThanOrEqual(2)
    expect(checkDay(day)).toEqual([])
    const solver = new DaySolver(day)
    for (let i = 0; i < 60 && !solver.done; i++) solver.step(() => false)
    expect(checkPlan(day, solver.plan!.starts)).toEqual([])
  })
})
