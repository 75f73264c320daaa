import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { exampleSpread } from '../../../test/support/spreads'
import { forecastCook } from '../../process/forecast/forecastCook'
import { replay } from '../../record/replay/replay'
import { dayOf } from './dayOf'
import { fromFire } from './fromFire'
import { nextOfDay } from './nextOfDay'
import { lanesOf } from '../problem/lanesOf'
import { paddedDay } from '../problem/paddedDay'
import { DaySolver } from '../planning/solveDay'
import { todayOf } from './todayOf'
import { whatIsLeft } from './underWay'

const day = dayOf(exampleSpread(), 2000)
const planned = paddedDay(day)
const solver = new DaySolver(planned)
for (let i = 0; i < 40 && !solver.done; i++) solver.step(() => false)
const { starts } = solver.plan!
const first = Object.entries(starts).sort((a, b) => a[1] - b[1])[0]![0]

describe('a day under way', () => {
  it('says what each pair of hands does now and next', () => {
    const now = starts[first]! - 3
    const before = todayOf(planned, day, starts, [], [], now)
    const mine = before.hands.find(steps => steps.some(one => one.step === first))!
    expect(mine[0]!.state).toBe('later')
    const begun = todayOf(planned, day, starts, [{ step: first, begun: now, ended: null }], [], now + 2)
    const going = begun.hands.flat().find(one => one.step === first)!
    expect(going.state).toBe('going')
    expect(going.to).toBe(now + going.activity.dur[1])
    expect(begun.repaired.broken).toEqual([])
    const done = todayOf(planned, day, starts, [{ step: first, begun: now, ended: now + 4 }], [], now + 5)
    expect(done.hands.flat().find(one => one.step === first)!.state).toBe('done')
  })

  it('lets what is late push only what waits for it, and keeps the lanes in order', () => {
    const now = starts['d1.roast']! + 6
    const doings = Object.entries(starts)
      .filter(([, at]) => at < now - 8)
      .map(([step, at]) => ({ step, begun: at, ended: at + 5 }))
    const { repaired, lanes } = todayOf(planned, day, starts, doings, [], now)
    for (const lane of [...lanes.fires, ...lanes.hands]) {
      const sorted = [...lane].sort((a, b) => a.from - b.from)
      for (let i = 1; i < sorted.length; i++)
        if (sorted[i]!.much === 1 && sorted[i - 1]!.much === 1)
          expect(sorted[i]!.from).toBeGreaterThanOrEqual(Math.min(sorted[i - 1]!.to, now))
    }
    for (const [step, at] of Object.entries(repaired.starts))
      if (!doings.some(one => one.step === step)) expect(at).toBeGreaterThanOrEqual(now)
  })

  it('is planned anew around what is begun: that stays, and nothing else begins in the past', () => {
    const now = starts['d1.roast']! + 4
    const doings = Object.entries(starts)
      .filter(([, at]) => at < now)
      .map(([step, at]) => ({ step, begun: at + 1, ended: at + 6 < now ? at + 6 : null }))
    const anew = new DaySolver(whatIsLeft(planned, starts, doings, now))
    for (let i = 0; i < 60 && !anew.done; i++) anew.step(() => false)
    const again = anew.plan!.starts
    for (const { step, begun } of doings) expect(again[step]).toBe(begun)
    for (const [step, at] of Object.entries(again))
      if (!doings.some(one => one.step === step)) expect(at).toBeGreaterThanOrEqual(now)
  })

  it('says what comes next of a plan: what goes on, else the first that is not begun', () => {
    const plan = { starts, late: {}, cost: 0, bound: 0, proven: true, room: 1, latest: {}, tries: null }
    const spread = exampleSpread({ plan })
    const [dish, activity] = first.split('.')
    expect(nextOfDay(spread, 1500)).toEqual({ dish, activity, at: starts[first], going: false })
    expect(nextOfDay({ ...spread, doings: [{ step: first, begun: 2400, ended: null }] }, 2402)).toEqual({
      dish,
      activity,
      at: 2400,
      going: true,
    })
    const second = Object.entries(starts).sort((a, b) => a[1] - b[1])[1]![0]
    expect(nextOfDay({ ...spread, doings: [{ step: first, begun: 2400, ended: 2410 }] }, 2412)).toMatchObject({
      dish: second.split('.')[0],
      activity: second.split('.')[1],
    })
    expect(
      nextOfDay({ ...spread, doings: Object.keys(starts).map(step => ({ step, begun: 2400, ended: 2410 })) }, 2412),
    ).toBeNull()
    expect(nextOfDay(spread, 4000)).toBeNull()
    expect(nextOfDay(exampleSpread(), 1500)).toBeNull()
  })

  it('leaves no step off its lanes, even where nobody has hands left for it', () => {
    const crowded = Object.fromEntries(Object.keys(starts).map(step => [step, 2400]))
    const lanes = lanesOf(planned, crowded)
    expect(lanes.hands.flat().length).toBe(
      planned.dishes.flatMap(dish => dish.activities).filter(one => one.hands > 0).length,
    )
    expect(
      lanes.hands[1]!.every(
        span =>
          !planned.dishes
            .find(dish => dish.id === span.dish)!
            .activities.find(one => `${span.dish}.${one.id}` === span.step)!.hot,
      ),
    ).toBe(true)
    expect(lanes.fires.flat().length).toBe(
      planned.dishes.flatMap(dish => dish.activities).filter(one => one.burner > 0).length,
    )
  })

  it('believes the fire: steps begin and end where the cook marked them, and the rest lasts as forecast', () => {
    const plan = examplePlan()
    const observations = [marked(1, 0, 'cook.started'), marked(2, 60, 'stage.began', { stage: 'roast' })]
    const cook = replay(plan, observations)
    const forecast = forecastCook(plan, observations, 90, 40)
    const ids = plan.dish.stages.filter(stage => (stage.phase ?? 'fire') === 'fire').map(stage => stage.id)
    const told = fromFire({ id: 'd1', steps: ids }, plan, cook, forecast, timeS => 2500 + Math.floor(timeS / 60))
    expect(told.doings.find(one => one.step === 'd1.roast')!.begun).toBe(2501)
    const open = Object.values(told.spans)
    expect(open.length).toBeGreaterThan(0)
    for (const [low, middle, high] of open) expect(low <= middle && middle <= high).toBe(true)
    expect(fromFire({ id: 'd1', steps: ids }, plan, replay(plan, []), forecast, timeS => timeS)).toEqual({
      doings: [],
      spans: {},
    })
  })
})
