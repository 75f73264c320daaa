import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../cli/plans/inventDay'
import { checkDay } from '../core/day/problem/checkDay'
import { checkPlan } from '../core/day/problem/checkPlan'
import { DaySolver } from '../core/day/planning/solveDay'
import { exampleSpread } from '../test/support/spreads'
import { DaySchema, StartsSchema } from './day'
import { PlannerAnswerSchema, PlannerQuestionSchema } from './planner'
import { SpreadListSchema, SpreadSchema } from './spread'

const through = <T>(value: T): unknown => JSON.parse(JSON.stringify(value))
const takes = (schema: { safeParse(value: unknown): { success: boolean } }, value: unknown): boolean =>
  schema.safeParse(value).success

describe('a day to be planned', () => {
  it('is taken as the folder of days holds it', () => {
    for (const name of readdirSync('test/days').filter(one => one !== 'best.json'))
      expect(takes(DaySchema, JSON.parse(readFileSync(`test/days/${name}`, 'utf8'))), name).toBe(true)
  })

  it('is taken as it is invented, through JSON and back, unchanged', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 3 }),
        (seed, dishes, days) => {
          const day = inventDay(seed, dishes, days)
          expect(DaySchema.parse(through(day))).toEqual(through(day))
        },
      ),
      { numRuns: 40, seed: 6 },
    )
  })

  const day = inventDay(5, 2)
  it.each([
    ['a minute that is none', { now: 1.5 }],
    ['a meal before the first day', { meals: [{ id: 'm1', at: -1 }] }],
    ['no meals', { meals: [] }],
    ['more fires than a house has', { burners: 40 }],
    [
      'four hands of one cook',
      { dishes: [{ ...day.dishes[0]!, activities: [{ ...day.dishes[0]!.activities[0]!, hands: 2 }] }] },
    ],
    ['a vessel of no kind', { vessels: [{ id: 'v', kind: 'cauldron' }] }],
    ['a manner of serving that is none', { dishes: [{ ...day.dishes[0]!, serve: 'flambe' }] }],
    ['weights that are words', { weights: { ...day.weights, span: 'one' } }],
    ['a wish of no kind', { wishes: [{ kind: 'hope', step: 'd1.roast' }] }],
    ['a dish without steps', { dishes: [{ ...day.dishes[0]!, activities: [] }] }],
  ])('is refused with %s', (_, change) => expect(takes(DaySchema, { ...day, ...change })).toBe(false))

  it('never makes the planner throw, whatever the contract lets through', () => {
    const minutes = fc.integer({ min: 0, max: 4000 })
    const odd = fc.record({
      now: fc.integer({ min: 0, max: 1500 }),
      horizon: minutes,
      cooks: fc.constantFrom(0, 1, 1, 2, 3),
      burners: fc.constantFrom(0, 1, 1, 2, 3),
      washMin: fc.integer({ min: 0, max: 50 }),
      away: fc.array(
        fc.record({
          cook: fc.constantFrom<number | 'all'>(0, 1, 7, 'all'),
          from: minutes,
          to: minutes,
          why: fc.constant(''),
        }),
        { maxLength: 4 },
      ),
      at: minutes,
      ready: fc.integer({ min: 0, max: 300 }),
      lengths: fc.array(fc.integer({ min: 0, max: 90 }), { minLength: 9, maxLength: 9 }),
      lag: minutes,
      pin: fc.option(minutes),
      sink: fc.constantFrom('three', 'three', 'three', 'two', 'nine'),
      vessel: fc.constantFrom<'heavy' | 'pot'>('heavy', 'heavy', 'heavy', 'pot'),
    })
    let planned = 0
    fc.assert(fc.property(odd, (one) => {
      const dur = (i: number): [number, number, number] =>
        [one.lengths[i]!, one.lengths[i + 1]!, one.lengths[i + 2]!].sort((a, b) => a - b) as [number, number, number]
      const strange = DaySchema.parse({
        ...day,
        now: one.now,
        horizon: one.horizon,
        cooks: one.cooks,
        burners: one.burners,
        away: one.away,
        washMin: one.washMin,
        meals: [{ id: 'm1', at: one.at }],
        vessels: [{ id: 'v', kind: one.vessel }],
        wishes: one.pin === null ? [] : [{ kind: 'pin', step: 'x.one', start: one.pin }],
        dishes: [
          {
            id: 'x',
            template: 't',
            meal: 'm1',
            serve: 'hot',
            sink: one.sink,
            ready: one.ready,
            lags: [
              { from: 'one', to: 'two', min: 0, max: one.lag, kind: 'cool' },
              { from: 'two', to: 'three', min: one.lag % 40, max: null, kind: 'set' },
            ],
            activities: [
              { id: 'one', dur: dur(0), hands: 1, burner: 1 },
              { id: 'two', dur: dur(3), hands: 0.5, burner: 0 },
              { id: 'three', dur: dur(6), hands: 0, burner: 1 },
            ],
            holds: [{ need: 'heavy', first: 'one', last: 'two' }],
          },
        ],
      })
      if (checkDay(strange).length > 0) return
      const solver = new DaySolver(strange)
      for (let i = 0; i < 30 && !solver.done; i++) solver.step(() => false)
      if (!solver.plan) return
      planned++
      expect(checkPlan(strange, solver.plan.starts, solver.plan.late)).toEqual([])
    }), { numRuns: 300, seed: 12 })
    expect(planned).toBeGreaterThan(20)
  })
})

describe('what passes between a page and its planner', () => {
  it('is taken both ways', () => {
    const day = inventDay(5, 2)
    expect(takes(PlannerQuestionSchema, through({ type: 'plan', ticket: 1, day, seconds: 4 }))).toBe(true)
    expect(takes(PlannerQuestionSchema, { type: 'stop', ticket: 2 })).toBe(true)
    expect(takes(PlannerAnswerSchema, { type: 'plan', ticket: 1, plan: null, done: true, seconds: 1 })).toBe(true)
    expect(
      takes(PlannerAnswerSchema, { type: 'refused', ticket: 1, troubles: [{ code: 'no-fire', about: 'd1' }] }),
    ).toBe(true)
    expect(
      takes(PlannerAnswerSchema, {
        type: 'offers',
        ticket: 1,
        now: { lateMin: 0, spanMin: 9 },
        offers: [{ kind: 'fire', lateMin: 0, spanMin: 5 }],
        done: true,
      }),
    ).toBe(true)
  })

  it.each([
    { type: 'plan', ticket: 1, seconds: 4 },
    { type: 'plan', ticket: 1, day: inventDay(5, 2), seconds: 1e9 },
    { type: 'offers', ticket: 'one', day: inventDay(5, 2) },
    { type: 'dance', ticket: 1 },
  ])('is refused as a question, case %#', question =>
    expect(takes(PlannerQuestionSchema, through(question))).toBe(false),
  )

  it.each([
    { type: 'refused', ticket: 1, troubles: [{ code: 'tired', about: '' }] },
    {
      type: 'offers',
      ticket: 1,
      now: { lateMin: 0, spanMin: 9 },
      offers: [{ kind: 'luck', lateMin: 0, spanMin: 5 }],
      done: true,
    },
    { type: 'latest', ticket: 1, latest: { m1: 'noon' }, least: { waitMin: null, reheats: null } },
    { type: 'latest', ticket: 1, latest: {} },
  ])('is refused as an answer, case %#', answer => expect(takes(PlannerAnswerSchema, answer)).toBe(false))

  it('has whole minutes as starts, for steps that have a dish', () => {
    expect(takes(StartsSchema, { 'd1.roast': 2500 })).toBe(true)
    expect(takes(StartsSchema, { 'd1.roast': 2500.5 })).toBe(false)
    expect(takes(StartsSchema, { 'd': 2500 })).toBe(false)
  })
})

describe('a day as it is kept', () => {
  it('is taken whole, through JSON and back', () => {
    const spread = exampleSpread({
      wishes: [{ kind: 'forbid', step: 'd1.roast', from: 2400, to: 2440 }],
      doings: [{ step: 'd1.grate', begun: 2300, ended: null }],
      cooks: [{ dish: 'd1', cook: 'cook-1' }],
    })
    expect(SpreadSchema.parse(through(spread))).toEqual(through(spread))
  })

  it.each([
    { eve: 'tomorrow' },
    { eve: '2026-02-30' },
    { revision: -1 },
    { name: '' },
    { washMin: 500 },
    { unknown: true },
    { nights: { from: 2000, to: 1 } },
    { meals: [{ id: '../x', name: 'Dinner', at: 1 }] },
    { hands: [{ id: 'h1', name: 'You', away: [] }] },
    { promises: [{ id: 'p1', whom: '', dish: null, what: '', at: 1, given: false }] },
    { doings: [{ step: 'd1.grate', begun: 1.2, ended: null }] },
    { cooks: [{ dish: 'd1', cook: '../../etc' }] },
  ])('is refused with %j', change =>
    expect(takes(SpreadSchema, { ...(through(exampleSpread()) as object), ...change })).toBe(false),
  )

  it('is listed by a line', () => {
    expect(
      takes(SpreadListSchema, {
        spreads: [{ id: 'day-1', name: 'Sunday', eve: '2026-11-28', revision: 1, dishes: 2, changedAt: 5 }],
      }),
    ).toBe(true)
    expect(takes(SpreadListSchema, { spreads: [{ id: 'day-1' }] })).toBe(false)
  })
})
