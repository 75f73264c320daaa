import { describe, expect, it } from 'vitest'
import { DAY, STARTS } from '../../../test/support/smallDay'
import type { Day } from '../problem/day'
import { planCost } from '../problem/planCost'
import { simulateDay } from './simulateDay'

/** The small day with no chance in it: every step takes what is likely, but for those that are told. */
const fixed = (told: Readonly<Record<string, number>> = {}): Day => ({
  ...DAY,
  dishes: DAY.dishes.map(dish => ({
    ...dish,
    activities: dish.activities.map((activity) => {
      const minutes = told[`${dish.id}.${activity.id}`] ?? activity.dur[1]
      return { ...activity, dur: [minutes, minutes, minutes] as const }
    }),
  })),
})
const middle = (): number => 0.5
const tryIt = (day: Day, plan = STARTS, planned: Day = fixed()) => simulateDay(day, plan, planned, 3, middle)

describe('a day that is carried out as planned', () => {
  it('is late nowhere, pours hot, and is as long as its plan', () => {
    const spans = Object.values(planCost(fixed(), STARTS).spans).reduce((sum, one) => sum + one, 0)
    expect(tryIt(fixed())).toEqual({
      tries: 3, lateTries: 0, meals: 6, lateMeals: 0, pours: 3, coldPours: 0, waitedBases: 0, spanMin: expect.closeTo(spans, 9) as number, tightest: [],
    })
  })
})

describe('a day whose steps take longer', () => {
  it('is late from more than five minutes on, told by meal and by the steps that begin so late', () => {
    // Roasted from 64 on, poured at once: twelve minutes later it is at the table, for 100.
    expect(tryIt(fixed({ 'suji.roast': 29 }))).toMatchObject({ lateTries: 0, lateMeals: 0, waitedBases: 0, coldPours: 0 })
    expect(tryIt(fixed({ 'suji.roast': 30 }))).toMatchObject({ lateTries: 3, lateMeals: 3 })
    const late = tryIt(fixed({ 'suji.roast': 34 }))
    expect(late.tightest.map(one => [one.step, one.lateTries]).sort()).toEqual([['suji.liquid', 3], ['suji.pour', 3], ['suji.stir', 3]])
  })

  it('heats the liquid on the roast\'s cue: it is no colder for a roast that takes its time', () => {
    expect(tryIt(fixed({ 'suji.roast': 40 }))).toMatchObject({ coldPours: 0, waitedBases: 0 })
    // One that takes 40 minutes is put on at 58, when the day begins, and the base waits for it.
    expect(tryIt(fixed({ 'suji.liquid': 40 })).waitedBases).toBe(3)
    expect(tryIt(fixed({ 'suji.liquid': 28 })).waitedBases).toBe(0)
  })

  it('foresees the pour by what its cook still has to do before, in the order it will be done', () => {
    const day = fixed({ 'suji.nuts': 12, 'suji.liquid': 40 })
    // Looked at while nuts and roast are still to come: done at 84, so a liquid of 40 minutes goes on at 42.
    const early = { ...STARTS, 'suji.nuts': 51, 'lentil.grind': 15 }
    expect(simulateDay(day, early, day, 1, middle)).toMatchObject({ waitedBases: 0, coldPours: 0, lateTries: 0 })
  })

  it('begins nothing before its time but what follows at once on what it waits for', () => {
    const quick = simulateDay(fixed({ 'suji.nuts': 1, 'suji.roast': 10 }), STARTS, fixed(), 1, middle)
    // The roast begins at its time; the pour follows it at 74, when the liquid is hot.
    expect(quick).toMatchObject({ tightest: [], lateTries: 0, waitedBases: 0, coldPours: 0 })
  })
})

describe('a day of which one thing is lacking', () => {
  it('waits for the fire, the hands or the pan as the plan gave them', () => {
    const one = { ...fixed(), burners: 1 }
    // The liquid cannot be heated beside the roast: it is put on after it, ten minutes late, and the base waits.
    expect(simulateDay(one, STARTS, fixed(), 2, middle)).toMatchObject({ waitedBases: 2, lateTries: 2 })
    const busy = { ...STARTS, 'lentil.grind': 80 }
    expect(simulateDay({ ...fixed(), cooks: 2 }, busy, { ...fixed(), cooks: 2 }, 1, middle)).toMatchObject({ lateTries: 0 })
  })
})
