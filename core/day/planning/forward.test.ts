import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { seededRandom } from '../../maths/random/seededRandom'
import { checkPlan } from '../problem/checkPlan'
import type { Activity, Day, Starts } from '../problem/day'
import { DAY_WEIGHTS } from '../problem/dayWeights'
import { planCost } from '../problem/planCost'
import { DaySolver } from './solveDay'

const FROM = 600
const MEAL = 618

/** Two dishes of two steps and one, eighteen minutes before a meal. */
function smallDay(seed: number): Day {
  const uniform = seededRandom(seed)
  const whole = (from: number, to: number): number => from + Math.floor(uniform() * (to - from + 1))
  const step = (id: string, hands: 0 | 0.5 | 1): Activity => {
    const likely = whole(2, 5)
    return { id, dur: [likely, likely, likely + 2], hands, burner: uniform() < 0.6 ? 1 : 0 }
  }
  const hands = (): 0 | 0.5 | 1 => ([0, 0.5, 1] as const)[whole(0, 2)]!
  const wait = whole(0, 2)
  return {
    id: 'small',
    now: FROM,
    horizon: MEAL + 60,
    cooks: 1,
    burners: 1,
    away: uniform() < 0.4 ? [{ cook: 'all', from: FROM + 6, to: FROM + 8, why: 'away' }] : [],
    vessels: [{ id: 'v', kind: 'heavyL' }],
    meals: [{ id: 'm1', at: MEAL }],
    weights: DAY_WEIGHTS,
    dishes: [
      {
        id: 'a',
        template: 'a',
        meal: 'm1',
        serve: 'hot',
        sink: 'two',
        ready: whole(0, 2),
        activities: [step('one', hands()), step('two', 1)],
        lags: [{ from: 'one', to: 'two', min: wait, max: uniform() < 0.5 ? wait + whole(0, 3) : null, kind: 'cool' }],
        holds: [{ need: 'heavy', first: 'one', last: 'two' }],
      },
      {
        id: 'b',
        template: 'b',
        meal: 'm1',
        serve: 'warm',
        sink: 'one',
        ready: 0,
        activities: [step('one', hands())],
        lags: [],
        holds: uniform() < 0.5 ? [{ need: 'heavyL', first: 'one', last: 'one' }] : [],
      },
    ],
  }
}

/** The best plan forward on the clock: every start tried, judged by the checker and counted minute by minute. */
function forward(day: Day): number | null {
  let best: number | null = null
  const starts: Record<string, number> = {}
  for (let one = FROM; one < MEAL; one++) {
    for (let two = one + 2; two < MEAL; two++) {
      for (let other = FROM; other < MEAL; other++) {
        Object.assign(starts, { 'a.one': one, 'a.two': two, 'b.one': other })
        const cost = planCost(day, starts).total
        if ((best === null || cost < best - 1e-9) && checkPlan(day, starts).length === 0) best = cost
      }
    }
  }
  return best
}

function solved(day: Day): DaySolver {
  const solver = new DaySolver(day)
  for (let i = 0; i < 400 && !solver.done; i++) solver.step(() => false)
  return solver
}

describe('mirrored time', () => {
  it('gives what forward time gives, for any small day', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const day = smallDay(seed)
      const best = forward(day)
      const solver = solved(day)
      const late = Object.values(solver.plan?.late ?? {}).reduce((sum, minutes) => sum + minutes, 0)
      if (best === null) expect(solver.plan === null || late > 0).toBe(true)
      else {
        expect(late).toBe(0)
        expect(solver.plan!.cost).toBeCloseTo(best, 1)
      }
    }), { numRuns: 60, seed: 9 })
  })

  it('knows no hour: a day moved as a whole costs the same', () => {
    for (const seed of [2, 5, 9]) {
      const day = inventDay(seed, 3)
      const moved = (minutes: number): Day => ({
        ...day,
        now: day.now + minutes,
        horizon: day.horizon + minutes,
        meals: day.meals.map(meal => ({ ...meal, at: meal.at + minutes })),
        away: day.away.map(away => ({ ...away, from: away.from + minutes, to: away.to + minutes })),
      })
      const base = solved(day)
      const later = solved(moved(1440))
      expect(later.plan!.cost, `seed ${seed}`).toBeCloseTo(base.plan!.cost, 6)
      const back: Starts = Object.fromEntries(Object.entries(later.plan!.starts).map(([step, at]) => [step, at - 1440]))
      expect(checkPlan(day, back)).toEqual([])
    }
  })
})
