import { describe, expect, it } from 'vitest'
import type { Planned, PlannerAnswer } from '../../contracts/planner'
import { planningAfter, UNPLANNED, worthOtherOrder, type PlanningEvent, type PlanningState } from './planningState'

const PLAN: Planned = { starts: { a: 10 }, late: {}, cost: 5, bound: 5, proven: true, room: 1 }
const TRIES = {
  tries: 400, lateTries: 3, meals: 9, lateMeals: 1, pours: 8, coldPours: 0, waitedBases: 2, spanMin: 90, tightest: [{ step: 'a', lateTries: 1 }],
}
const after = (...events: PlanningEvent[]): PlanningState => events.reduce(planningAfter, UNPLANNED)
const told = (answer: PlannerAnswer): PlanningEvent => ({ is: 'answered', answer })
const plan = (found: Planned | null, done: boolean) => told({ type: 'plan', ticket: 1, plan: found, done, seconds: 1 })
const begun = { is: 'begun', steps: [{ step: 'a', begun: 9, ended: null }] } as const

describe('a search for a plan', () => {
  it('goes on until it is done, and keeps the best so far', () => {
    const better = { ...PLAN, cost: 4 }
    expect(after({ is: 'sought' })).toEqual({ ...UNPLANNED, seeking: true })
    expect(after({ is: 'sought' }, plan(PLAN, false))).toMatchObject({ seeking: true, planned: PLAN })
    expect(after({ is: 'sought' }, plan(PLAN, false), plan(better, true))).toMatchObject({ seeking: false, planned: better })
    expect(after({ is: 'sought' }, plan(PLAN, false), plan(null, true))).toMatchObject({ seeking: false, planned: PLAN })
    expect(after({ is: 'sought' }, { is: 'ended' })).toEqual(UNPLANNED)
    expect(after({ is: 'sought' }, plan(PLAN, false), { is: 'empty' })).toMatchObject({ seeking: false, planned: null })
  })

  it('finds nothing only where it is done, and nothing of the day is begun', () => {
    expect(after(plan(null, false)).cannot).toBe(false)
    expect(after(plan(null, true)).cannot).toBe(true)
    expect(after(begun, plan(null, true)).cannot).toBe(false)
    expect(after(plan(null, true), plan(PLAN, true)).cannot).toBe(false)
  })

  it('is refused for a day with troubles, until one without them is planned', () => {
    const refused = told({ type: 'refused', ticket: 1, troubles: [{ code: 'no-hands', about: 'd' }] })
    expect(after({ is: 'sought' }, plan(PLAN, false), refused)).toMatchObject({
      seeking: false, planned: null, troubles: [{ code: 'no-hands', about: 'd' }],
    })
    expect(after(refused, plan(PLAN, true)).troubles).toEqual([])
    expect(after(refused, { is: 'empty' }).troubles).toEqual([])
  })

  it('is told what stands in the way, how it was tried, and how late each step may begin', () => {
    const clash = [{ kind: 'hands', about: 'd' }] as const
    expect(after(told({ type: 'clash', ticket: 1, clash })).clash).toEqual(clash)
    expect(after(told({ type: 'clash', ticket: 1, clash }), { is: 'sought' }).clash).toBeNull()
    expect(after(told({ type: 'tries', ticket: 1, tries: TRIES })).tries).toBe(TRIES)
    const least = { waitMin: 4, reheats: null }
    expect(after(told({ type: 'latest', ticket: 1, latest: { a: 20 }, least }))).toMatchObject({ latest: { a: 20 }, least })
  })

  it('forgets with any change what was offered for the day as it was, and counts what was asked', () => {
    const offers = told({ type: 'offers', ticket: 1, now: { lateMin: 3, spanMin: 90 }, offers: [], done: true })
    expect(after(offers).offers).toMatchObject({ now: { lateMin: 3 }, done: true })
    expect(after(offers, { is: 'other-found', plan: PLAN }, { is: 'changed' })).toEqual({ ...UNPLANNED, asked: 1 })
  })

  it('is over where the plan of the day itself was taken', () => {
    const { starts, late, cost, bound, proven, room } = PLAN
    const kept = { starts, late, cost, bound, proven, room, latest: { a: 30 }, tries: { tries: 400, lateTries: 3, pours: 8, coldPours: 0 } }
    expect(after({ is: 'sought' }, told({ type: 'tries', ticket: 1, tries: TRIES }), { is: 'kept', plan: kept })).toEqual({
      ...UNPLANNED, asked: 1, planned: kept, latest: { a: 30 },
      tries: { tries: 400, lateTries: 3, pours: 8, coldPours: 0, meals: 0, lateMeals: 0, waitedBases: 0, spanMin: 0, tightest: [] },
    })
    expect(after({ is: 'kept', plan: { ...kept, tries: null, least: { waitMin: 1, reheats: 2 } } }))
      .toMatchObject({ tries: null, least: { waitMin: 1, reheats: 2 } })
  })
})

describe('another order of a late day', () => {
  it('is worth seeking each time it is later by ten minutes more, and anew once it has caught up', () => {
    const late = (lateMin: number, sought: boolean): PlanningEvent => ({ is: 'late', lateMin, sought })
    expect([9, 10].map(lateMin => worthOtherOrder(UNPLANNED, lateMin))).toEqual([false, true])
    const sought = after(late(12, true))
    expect([21, 22].map(lateMin => worthOtherOrder(sought, lateMin))).toEqual([false, true])
    expect(after(late(12, true), late(20, false)).soughtLateMin).toBe(12)
    expect(after(late(12, true), late(9, false)).soughtLateMin).toBe(0)
    expect(worthOtherOrder(after({ is: 'sought' }), 60)).toBe(false)
  })

  it('takes the place of the plan only when it is asked for', () => {
    const other = { ...PLAN, cost: 3 }
    const found = after(plan(PLAN, true), told({ type: 'tries', ticket: 1, tries: TRIES }), { is: 'other-found', plan: other })
    expect(found.planned).toBe(PLAN)
    expect(planningAfter(found, { is: 'other-taken' })).toMatchObject({ planned: other, other: null, tries: null })
    expect(after(plan(PLAN, true), { is: 'other-taken' }).planned).toBe(PLAN)
  })
})
