import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { inventDay } from '../../cli/plans/inventDay'
import type { Activity, Day, Durations } from '../../core/day/problem/day'
import { DaySolver } from '../../core/day/planning/solveDay'
import { asMixedInteger } from '../support/mixedInteger'

/** A day small enough for a general solver: minutes a tenth as long, one cook, one vessel of a kind, half a day. */
function small(seed: number): Day {
  const day = inventDay(seed, seed % 5 === 0 ? 3 : 2)
  const tenth = (minutes: number): number => Math.max(1, Math.round(minutes / 10))
  const short = (dur: Durations): Durations => [tenth(dur[0]), tenth(dur[1]), tenth(dur[2])]
  const dishes = day.dishes.map(dish => ({
    ...dish,
    meal: 'm1',
    ready: Math.round(dish.ready / 15),
    activities: dish.activities.map((activity): Activity => ({ ...activity, dur: short(activity.dur) })),
    lags: dish.lags.map(lag => ({
      ...lag,
      min: Math.round(lag.min / 50),
      max: lag.max === null ? null : Math.round(lag.max / 10),
    })),
    holds: dish.holds.map(hold => ({ ...hold, need: hold.need === 'heavyL' ? ('heavy' as const) : hold.need })),
    ...(dish.hotPour
      ? { hotPour: { ...dish.hotPour, max: 2, reheat: { dur: [1, 1, 2] as Durations, maxWait: 8 } } }
      : {}),
  }))
  return {
    ...day,
    now: 0,
    horizon: 120,
    cooks: 1,
    burners: 1 + (seed % 2),
    meals: [{ id: 'm1', at: 42 }],
    away: seed % 4 === 0 ? [{ cook: 'all', from: 24, to: 28, why: 'out' }] : [],
    dishes,
    vessels: (['heavy', 'pot', 'ppan', 'grinder'] as const).map(kind => ({ id: kind, kind })),
    weights: { ...day.weights, window: { hot: 3, warm: 10, room: 60, cold: 60 } },
  }
}

describe('a mixed-integer formulation solved by HiGHS', () => {
  // A day the general solver cannot finish in so many nodes says nothing (counted, not timed: a slow machine sees the
  // same days).
  it('agrees with the planner on five small days', async () => {
    const solver = await highs()
    let agreed = 0
    for (let seed = 1; agreed < 5 && seed <= 60; seed++) {
      const day = small(seed)
      const ours = new DaySolver(day)
      while (!ours.done) ours.step(() => false)
      const theirs = solver.solve(asMixedInteger(day), { mip_max_nodes: 200, mip_rel_gap: 0 })
      if (theirs.Status !== 'Optimal' && theirs.Status !== 'Infeasible') continue
      const isLate = !ours.plan || Object.values(ours.plan.late).some(minutes => minutes > 0)
      expect(theirs.Status === 'Infeasible', `seed ${seed}`).toBe(isLate)
      if (isLate) continue
      expect(ours.proven).toBe(true)
      expect(ours.plan!.cost, `seed ${seed}`).toBeCloseTo(theirs.ObjectiveValue, 4)
      agreed++
    }
    expect(agreed).toBe(5)
  }, 300_000)
})
