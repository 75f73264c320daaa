import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { exampleDish, exampleSpread } from '../../../test/support/spreads'
import { checkPlan } from '../problem/checkPlan'
import type { Day } from '../problem/day'
import { dayOf } from '../spread/dayOf'
import { paddedDay, paddingOf } from '../problem/paddedDay'
import { helpDay, planDay, type OffersTold, type PlanTold } from './planDay'

/** Everything that is told, on a clock that moves by itself at every look. */
function told(day: Day, most: number, tick = 0.001, from = 0): PlanTold[] {
  let now = from
  return [...planDay(day, most, () => now += tick)].filter(one => one !== null)
}
const plansOf = (all: readonly PlanTold[]) => all.filter(one => one.type === 'plan')
const kinds = (all: readonly PlanTold[]): string[] => all.map(one => one.type)

describe('planning a day', () => {
  const day = dayOf(exampleSpread(), 1440 + 600)

  it('tells better and better plans, then how they fared in tries, then how late one could begin', () => {
    const all = told(day, 4)
    const costs = plansOf(all).flatMap(one => (one.plan ? [one.plan.cost] : []))
    const bounds = plansOf(all).flatMap(one => (one.plan ? [one.plan.bound] : []))
    expect(costs).toEqual([...costs].sort((a, b) => b - a))
    expect(bounds).toEqual([...bounds].sort((a, b) => a - b))
    for (const [i, cost] of costs.entries()) expect(bounds[i]).toBeLessThanOrEqual(cost + 1e-9)
    expect(kinds(all).slice(-3)).toEqual(['tries', 'plan', 'latest'])
    expect(plansOf(all).filter(one => one.done)).toHaveLength(1)
    const end = plansOf(all).at(-1)!.plan!
    expect(checkPlan(paddedDay(day, paddingOf(end.room)), end.starts, end.late)).toEqual([])
  })

  it('only plans where hardly any time is given, as while something is moved', () => {
    const all = told(day, 0.4)
    expect(new Set(kinds(all))).toEqual(new Set(['plan']))
    expect(plansOf(all).at(-1)).toMatchObject({ done: true, plan: { room: 1, late: {} } })
  })

  it('gives more room where the usual leaves too many meals late, and only where there is time to', () => {
    const dish = exampleDish('d1')
    const wide = dayOf(
      exampleSpread({
        dishes: [
          {
            ...dish,
            steps: {
              ...dish.steps,
              activities: dish.steps.activities.map(one =>
                one.id === 'roast' ? { ...one, dur: [8, 12, 60] as const } : one,
              ),
            },
          },
        ],
      }),
      1440 + 600,
    )
    const roomOf = (most: number): number => plansOf(told(wide, most)).at(-1)!.plan!.room
    expect(roomOf(6)).toBeGreaterThan(1)
    // Seconds count from when it began, whatever the clock showed then.
    expect(plansOf(told(wide, 6, 0.001, 5000)).at(-1)!.plan!.room).toBe(roomOf(6))
    expect(roomOf(1.5)).toBe(1)
    const lateOf = (most: number): number =>
      told(wide, most)
        .flatMap(one => (one.type === 'tries' ? [one.tries.lateTries] : []))
        .at(-1)!
    expect(lateOf(6)).toBeLessThan(lateOf(1.5))
  })

  it.each([
    [2, 0.02, true],
    [2, 0.1, false],
    [3, 0.05, false],
  ])(
    'ends with more room only where that plan is not a rough one: longest %i times the likely, %f s a look',
    (times, tick, isRoomy) => {
      const dish = exampleDish('d1')
      const wide = {
        ...dish,
        steps: {
          ...dish.steps,
          activities: dish.steps.activities.map(one =>
            one.hands > 0 ? { ...one, dur: [one.dur[0], one.dur[1], times * one.dur[1]] as const } : one,
          ),
        },
      }
      const all = told(
        dayOf(exampleSpread({ dishes: ['d1', 'd2', 'd3', 'd4'].map(id => ({ ...wide, id })) }), 1440 + 300),
        4,
        tick,
      )
      expect(plansOf(all).some(one => one.plan !== null && one.plan.room > 1)).toBe(true)
      const { cost, bound, room } = plansOf(all).at(-1)!.plan!
      expect(room > 1).toBe(isRoomy)
      expect(cost - bound).toBeLessThanOrEqual(0.15 * cost)
    },
  )

  it('says that there is no plan where none can be', () => {
    const never: Day = {
      ...day,
      dishes: day.dishes.slice(0, 1),
      wishes: [
        { kind: 'pin', step: 'd1.roast', start: 2520 },
        { kind: 'pin', step: 'd1.pour', start: 2400 },
      ],
    }
    const all = told(never, 0.5)
    expect(all.at(-2)).toEqual({
      type: 'clash',
      clash: [
        { kind: 'wish', about: 'd1.roast' },
        { kind: 'wish', about: 'd1.pour' },
      ],
    })
    expect(all.at(-1)).toMatchObject({ type: 'plan', plan: null, done: true })
  })

  it('moves a meal that cannot be kept, and tries the plan for when it is then', () => {
    const late = dayOf(exampleSpread(), 1440 + 18 * 60 + 30)
    const all = told(late, 3)
    const end = plansOf(all).at(-1)!.plan!
    expect(end.late.m1).toBeGreaterThan(0)
    const tries = all.find(one => one.type === 'tries')!
    expect(tries.tries.lateTries).toBeLessThan(200)
    for (const start of Object.values(end.starts)) expect(start).toBeGreaterThanOrEqual(late.now)
  })

  it('waits for a first plan of many dishes beyond the time it was given', () => {
    const all = told(inventDay(2, 9), 0.2, 0.0005)
    expect(plansOf(all).at(-1)!.plan).not.toBeNull()
  })
})

describe('what would help a day', () => {
  const offered = (day: Day): OffersTold => {
    let now = 0
    return [...helpDay(day, () => now += 0.002)].filter(one => one !== null).at(-1)!
  }

  it('is what makes the meals less late, or the time in the kitchen shorter', () => {
    const crowded = dayOf(
      exampleSpread({ fires: [{ id: 'f1', name: 'Front fire' }], hands: exampleSpread().hands.slice(0, 1) }),
      1440 + 18 * 60 + 15,
    )
    const { now, offers, done } = offered(crowded)
    expect(done).toBe(true)
    expect(now.lateMin).toBeGreaterThan(0)
    expect(offers.map(one => one.kind)).toContain('sooner')
    for (const offer of offers)
      expect(offer.lateMin < now.lateMin || (offer.lateMin === now.lateMin && offer.spanMin < now.spanMin)).toBe(true)
  })

  it('is nothing where nothing binds', () => {
    const alone = dayOf(exampleSpread({ dishes: [exampleDish('d1')] }), 1440 + 300)
    expect(offered(alone).offers.filter(one => one.lateMin > 0)).toEqual([])
    expect(offered(alone).now.lateMin).toBe(0)
  })
})
