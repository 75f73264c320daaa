import { describe, expect, it } from 'vitest'
import { checkPlan } from '../problem/checkPlan'
import type { Activity, Day, DayDish } from '../problem/day'
import { DAY_WEIGHTS } from '../problem/dayWeights'
import { DaySolver } from './solveDay'

const MEAL = 600

/** One step of half an hour, served hot the minute it ends. */
function one(id: string, step: Partial<Activity> = {}, dish: Partial<DayDish> = {}): DayDish {
  return {
    id, template: id, meal: 'm1', serve: 'hot', sink: 'cook', ready: 0, lags: [], holds: [],
    activities: [{ id: 'cook', dur: [30, 30, 30], hands: 0, burner: 0, ...step }], ...dish,
  }
}

/** The best starts of dishes for one meal, passed by the checker. */
function planned(dishes: readonly DayDish[], more: Partial<Day> = {}): Readonly<Record<string, number>> {
  const day: Day = {
    id: 'day',
    now: 0,
    horizon: 900,
    cooks: 1,
    burners: 4,
    away: [],
    vessels: [],
    meals: [{ id: 'm1', at: MEAL }],
    weights: DAY_WEIGHTS,
    dishes,
    ...more,
  }
  const solver = new DaySolver(day)
  for (let i = 0; i < 200 && !solver.done; i++) solver.step(() => false)
  expect(solver.proven).toBe(true)
  expect(checkPlan(day, solver.plan!.starts, solver.plan!.late)).toEqual([])
  return solver.plan!.starts
}
/** Starts from the last back, minutes before the meal. */
const before = (starts: Readonly<Record<string, number>>): number[] =>
  Object.values(starts)
    .map(at => MEAL - at)
    .sort((a, b) => a - b)

describe('hands', () => {
  it('that are half needed stir two pans at once, and never three', () => {
    expect(before(planned([one('a', { hands: 0.5 }), one('b', { hands: 0.5 })]))).toEqual([30, 30])
    expect(before(planned([one('a', { hands: 0.5 }), one('b', { hands: 0.5 }), one('c', { hands: 0.5 })]))).toEqual([
      30, 30, 60,
    ])
  })

  it('that are wholly needed do one thing after another, also beside half a step', () => {
    expect(before(planned([one('a', { hands: 1 }), one('b', { hands: 1 })]))).toEqual([30, 60])
    expect(before(planned([one('a', { hands: 1 }), one('b', { hands: 0.5 })]))).toEqual([30, 60])
    expect(before(planned([one('a', { hands: 1 }), one('b', { hands: 1 })], { cooks: 2 }))).toEqual([30, 30])
  })

  it('of two people are not put together for one step: half of each makes no whole', () => {
    const starts = planned([one('a', { hands: 0.5 }), one('b', { hands: 0.5 }), one('c', { hands: 1 })], { cooks: 2 })
    expect(before(starts)).toEqual([30, 30, 30])
    const three = planned(
      [one('a', { hands: 0.5, cooks: [0] }), one('b', { hands: 0.5, cooks: [1] }), one('c', { hands: 1 })],
      { cooks: 2 },
    )
    expect(before(three)).toEqual([30, 30, 60])
  })

  it('are not handed over: who goes away does not begin what lasts longer', () => {
    const starts = planned([one('a', { hands: 1 })], {
      cooks: 2,
      away: [
        { cook: 0, from: 585, to: 900, why: 'out' },
        { cook: 1, from: 0, to: 585, why: 'out' },
      ],
    })
    expect(before(starts)).toEqual([45])
  })

  it('are those of who may do it', () => {
    const away: Day['away'] = [{ cook: 1, from: 560, to: 900, why: 'out' }]
    expect(before(planned([one('a', { hands: 1, cooks: [1] })], { cooks: 2, away }))).toEqual([70])
    expect(
      before(planned([one('a', { hands: 1, cooks: [0] }), one('b', { hands: 1, cooks: [0] })], { cooks: 2, away })),
    ).toEqual([30, 60])
  })
})

describe('fires', () => {
  it('carry one pan each', () => {
    const dishes = ['a', 'b', 'c'].map(id => one(id, { burner: 1 }))
    expect(before(planned(dishes, { burners: 1 }))).toEqual([30, 60, 90])
    expect(before(planned(dishes, { burners: 2 }))).toEqual([30, 30, 60])
  })

  it('burn only while somebody is there', () => {
    const away: Day['away'] = [{ cook: 'all', from: 555, to: 590, why: 'out' }]
    expect(before(planned([one('a', { burner: 1 })], { away }))).toEqual([75])
    expect(before(planned([one('a')], { away }))).toEqual([30])
    expect(
      before(planned([one('a', { burner: 1 })], { cooks: 2, away: [{ cook: 0, from: 555, to: 590, why: 'out' }] })),
    ).toEqual([30])
  })

  it('heat a liquid again where the pour comes too late for it, and that takes a fire and who heated it', () => {
    const dish: DayDish = {
      ...one('a'),
      sink: 'pour',
      activities: [
        { id: 'heat', dur: [10, 10, 10], hands: 0, burner: 1 },
        { id: 'pour', dur: [10, 10, 10], hands: 1, burner: 0 },
      ],
      hotPour: { heat: 'heat', pour: 'pour', max: 5, reheat: { dur: [4, 4, 4], maxWait: 60 } },
    }
    expect(planned([dish], { burners: 1 })).toEqual({ 'a.heat': 580, 'a.pour': 590 })
    // Another pan holds the only fire from 550 to 586: the liquid is heated before it, and again after it.
    const forced = planned([dish, one('b', { dur: [36, 36, 36], burner: 1 }, { lags: [] })], {
      burners: 1,
      wishes: [{ kind: 'pin', step: 'b.cook', start: 550 }],
    })
    expect(forced).toMatchObject({ 'a.heat': 540, 'a.reheat': 586, 'a.pour': 590 })
    // One pair of hands does it, whoever has them free: the others go on with what they do.
    for (const cooks of [2, 3]) {
      const busy = Array.from({ length: cooks - 1 }, (_, i) =>
        one(`c${i}`, { dur: [40, 40, 40], hands: 1 }, { lags: [], ready: 10 }),
      )
      const [heat, pour] = dish.activities
      const watched = { ...dish, activities: [{ ...heat!, hands: 1 as const }, pour!] }
      const among = planned([watched, one('b', { dur: [36, 36, 36], burner: 1 }, { lags: [] }), ...busy], {
        burners: 1,
        cooks,
        wishes: [
          { kind: 'pin', step: 'b.cook', start: 550 },
          ...busy.map(({ id }) => ({ kind: 'pin' as const, step: `${id}.cook`, start: 550 })),
        ],
      })
      expect(among, `${cooks} cooks`).toMatchObject({ 'a.heat': 540, 'a.reheat': 586, 'a.pour': 590 })
    }
  })
})

describe('vessels', () => {
  const held = (id: string, need: 'pot' | 'heavy' | 'heavyL'): DayDish => ({
    ...one(id),
    sink: 'end',
    activities: [
      { id: 'begin', dur: [5, 5, 5], hands: 0, burner: 0 },
      { id: 'end', dur: [5, 5, 5], hands: 0, burner: 0 },
    ],
    lags: [{ from: 'begin', to: 'end', min: 20, max: 20, kind: 'cool' }],
    holds: [{ need, first: 'begin', last: 'end' }],
  })
  const pot = { id: 'p', kind: 'pot' as const }

  it('are held from the first step to the last, the wait between them too', () => {
    expect(before(planned([held('a', 'pot'), held('b', 'pot')], { vessels: [pot] }))).toEqual([5, 30, 35, 60])
    expect(before(planned([held('a', 'pot'), held('b', 'pot')], { vessels: [pot, { ...pot, id: 'q' }] }))).toEqual([
      5, 5, 30, 30,
    ])
  })

  it('are washed between two dishes', () => {
    expect(before(planned([held('a', 'pot'), held('b', 'pot')], { vessels: [pot], washMin: 7 }))).toEqual([
      5, 30, 42, 67,
    ])
  })

  it('of the large kind serve for the small, and not the other way', () => {
    const large = { id: 'l', kind: 'heavyL' as const }
    const small = { id: 's', kind: 'heavy' as const }
    expect(before(planned([held('a', 'heavy'), held('b', 'heavyL')], { vessels: [large, small] }))).toEqual([
      5, 5, 30, 30,
    ])
    expect(before(planned([held('a', 'heavyL'), held('b', 'heavyL')], { vessels: [large, small] }))).toEqual([
      5, 30, 35, 60,
    ])
    expect(before(planned([held('a', 'heavy'), held('b', 'heavy')], { vessels: [large, small] }))).toEqual([
      5, 5, 30, 30,
    ])
    // The first has the large pan, so the second the small one, so the third the large: the last cannot begin at 570,
    // though never more than two pans are wanted, and one large.
    const pins = ([['a', 500], ['b', 520], ['c', 545]] as const).map(([id, start]) => ({ kind: 'pin' as const, step: `${id}.begin`, start }))
    const chain = [held('a', 'heavyL'), held('b', 'heavy'), held('c', 'heavy'), held('d', 'heavyL')]
    expect(planned(chain, { vessels: [large, small], wishes: pins })['d.begin']).not.toBe(570)
    expect(planned(chain, { vessels: [large, { ...large, id: 'm' }], wishes: pins })['d.begin']).toBe(570)
  })

  it('grind one thing after another', () => {
    expect(
      before(
        planned([one('a', { grinder: 1 }), one('b', { grinder: 1 })], { vessels: [{ id: 'g', kind: 'grinder' }] }),
      ),
    ).toEqual([30, 60])
  })
})

describe('what is made for two dishes', () => {
  it('is there before either, and as late as the first of them lets it', () => {
    const maker: DayDish = {
      ...one('a'),
      activities: [{ id: 'make', dur: [10, 10, 10], hands: 0, burner: 0 }, ...one('a').activities],
      lags: [{ from: 'make', to: 'cook', min: 5, max: null, kind: 'nuts' }],
    }
    const starts = planned([maker, one('b', { dur: [60, 60, 60] })], {
      links: [{ from: 'a.make', to: 'b.cook', min: 5, max: null, kind: 'nuts' }],
    })
    expect(starts['b.cook']).toBe(MEAL - 60)
    expect(starts['a.make']! + 10 + 5).toBeLessThanOrEqual(starts['b.cook']!)
    expect(starts['a.cook']).toBe(MEAL - 30)
  })
})
