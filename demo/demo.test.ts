import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../book/dishes'
import { stageDish } from '../core/formulation/stages/stageDish'
import { END_FAULTS } from '../core/cook/faults/faults'
import { CookPlanSchema } from '../contracts/cook'
import { KitchenSchema } from '../contracts/kitchen'
import { LessonSchema } from '../contracts/lesson'
import { ObservationSchema } from '../contracts/observation'
import { settleCook } from '../core/cook/batch/settleCook'
import { readBoilCheck } from '../core/process/boil/readBoilCheck'
import { replay } from '../core/record/replay/replay'
import { SpreadSchema } from '../contracts/spread'
import { checkPlan } from '../core/day/problem/checkPlan'
import { dayOf } from '../core/day/spread/dayOf'
import { paddedDay, paddingOf } from '../core/day/problem/paddedDay'
import { planCost } from '../core/day/problem/planCost'
import { cookBatch } from './cookBatch'
import { lampEvening } from './lampEvening'
import { DEMO_BATCHES, DEMO_KITCHEN, HIDDEN } from './house'
import { boilOnce } from './boilOnce'
import { cookOtherBatch, OTHER_BATCHES } from './otherBatch'

const START = 1_790_000_000_000
const cooked = (i: number) => cookBatch(stageDish(STARTER_DISHES[0]!), DEMO_BATCHES[i]!, [], START, 401 + i)

describe('the demo house', () => {
  it('has a kitchen and at least eight batches that differ, one burnt and one gluey', () => {
    expect(KitchenSchema.safeParse(DEMO_KITCHEN).error?.issues ?? []).toEqual([])
    expect(DEMO_BATCHES.length).toBeGreaterThanOrEqual(8)
    const faults = DEMO_BATCHES.flatMap(batch => batch.faults)
    expect(faults).toContain('burnt')
    expect(faults).toContain('gluey')
    for (const fault of faults) expect(END_FAULTS).toContain(fault)
    for (const batch of DEMO_BATCHES) expect(DEMO_KITCHEN.pans.map(pan => pan.id)).toContain(batch.pan)
  })

  it('cooks its batches: plans and observations that the contracts take, in order, to the end', () => {
    const { plan, observations } = cooked(0)
    expect(CookPlanSchema.safeParse(plan).error?.issues ?? []).toEqual([])
    for (const one of observations) expect(ObservationSchema.safeParse(one).error?.issues ?? []).toEqual([])
    expect(observations.map(one => one.number)).toEqual(observations.map((_, i) => i + 1))
    const times = observations.map(one => one.deviceTime)
    expect(times).toEqual([...times].sort((p, q) => p - q))
    const cook = replay(plan, observations)
    expect(cook.finishedS).not.toBeNull()
    expect(cook.stageStarts.every(start => start !== null)).toBe(true)
  })

  it('cooks other families too, and lets the house learn its own minutes', () => {
    for (const [i, batch] of OTHER_BATCHES.entries()) {
      // Every second one of them says as much.
      if (i % 2 === 1) continue
      const dish = stageDish(STARTER_DISHES.find(one => one.id === batch.dish)!)
      const { plan, observations } = cookOtherBatch(dish, batch, [], START, 701 + i)
      expect(CookPlanSchema.safeParse(plan).error?.issues ?? []).toEqual([])
      const cook = replay(plan, observations)
      expect(cook.finishedS, batch.dish).not.toBeNull()
      const { summary, evidence } = settleCook(plan, observations)
      expect(summary.stones.length).toBeGreaterThan(3)
      expect(summary.faults).toEqual(batch.faults)
      expect(evidence.some(one => one.name.startsWith(`minutes.${batch.dish}.`))).toBe(true)
    }
  })

  it('did a boil check that finds the hidden power of its fire', () => {
    const lesson = boilOnce(START)
    expect(LessonSchema.safeParse(lesson).error?.issues ?? []).toEqual([])
    const { factor } = readBoilCheck(lesson.kind === 'boil-check' ? lesson.check : (undefined as never))
    expect(factor.early).toBeLessThan(HIDDEN.mainFire)
    expect(factor.late).toBeGreaterThan(HIDDEN.mainFire)
    expect(factor.late / factor.early).toBeLessThan(1.35)
  })

  it('tells the same story for the same seed', () => {
    expect(cooked(2)).toEqual(cooked(2))
  })

  it('lets the burnt one be far darker than one that came right', () => {
    const lightest = (i: number): number => {
      const { plan, observations } = cooked(i)
      return Math.min(
        ...settleCook(plan, observations).summary.stones.map(stone => Number.parseInt(stone.colour.slice(1, 3), 16)),
      )
    }
    const burnt = DEMO_BATCHES.findIndex(batch => batch.faults.includes('burnt'))
    expect(lightest(burnt)).toBeLessThan(0.6 * lightest(0))
  })

  it('has a day ahead of it that is well planned: no hot dish stands for long, and little could be better', () => {
    const spread = lampEvening(DEMO_KITCHEN, [], '2026-11-27', 372)
    expect(SpreadSchema.safeParse(spread).error?.issues ?? []).toEqual([])
    const { starts, late, cost, bound, room, tries } = spread.plan!
    const day = dayOf(spread, 372)
    expect(checkPlan(paddedDay(day, { ...paddingOf(room), baseShare: 1 }), starts, late)).toEqual([])
    expect(late).toEqual({})
    expect(cost - bound).toBeLessThanOrEqual(0.15 * cost)
    const { waits } = planCost(day, starts)
    for (const dish of spread.dishes.filter(one => one.serve === 'hot'))
      expect(waits[dish.id], dish.card.name).toBeLessThan(75)
    expect(tries!.coldPours / tries!.pours).toBeLessThan(0.03)
  })
})
