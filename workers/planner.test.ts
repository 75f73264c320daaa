import { describe, expect, it } from 'vitest'
import { PlannerAnswerSchema, type PlannerAnswer } from '../contracts/planner'
import { checkPlan } from '../core/day/problem/checkPlan'
import { dayOf } from '../core/day/spread/dayOf'
import { paddedDay, paddingOf } from '../core/day/problem/paddedDay'
import { planCost } from '../core/day/problem/planCost'
import { exampleSpread } from '../test/support/spreads'
import { planSteps } from './plan'

/** Runs a question to its end; the clock moves a little with every look at it. */
function answers(question: Parameters<typeof planSteps>[0], tick = 0.002): PlannerAnswer[] {
  let now = 0
  const found: PlannerAnswer[] = []
  for (const answer of planSteps(question, () => (now += tick)))
    if (answer) found.push(PlannerAnswerSchema.parse(JSON.parse(JSON.stringify(answer))) as PlannerAnswer)
  return found
}
const day = dayOf(exampleSpread(), 1440 + 600)
const last = <T extends PlannerAnswer['type']>(
  found: readonly PlannerAnswer[],
  type: T,
): Extract<PlannerAnswer, { type: T }> =>
  found.filter((one): one is Extract<PlannerAnswer, { type: T }> => one.type === type).at(-1)!

describe('the planner worker', () => {
  it('tells plans on the way, tries the last one and says how late one could begin', () => {
    const found = answers({ type: 'plan', ticket: 7, day, seconds: 5 })
    const plans = found.filter(one => one.type === 'plan')
    expect(plans[0]!.done).toBe(false)
    const end = last(found, 'plan')
    expect(end.done).toBe(true)
    expect(end.plan!.proven).toBe(true)
    expect(checkPlan(paddedDay(day, paddingOf(end.plan!.room)), end.plan!.starts, end.plan!.late)).toEqual([])
    expect(last(found, 'tries').tries.tries).toBe(400)
    const latest = last(found, 'latest').latest.m1!
    expect(planCost(day, end.plan!.starts).begins.m1!).toBeLessThanOrEqual(latest)
    const { waits, reheats } = planCost(day, end.plan!.starts)
    const { waitMin, reheats: fewest } = last(found, 'latest').least
    expect(waitMin!).toBeLessThanOrEqual(
      day.dishes
        .filter(dish => dish.serve === 'hot' || dish.serve === 'warm')
        .reduce((sum, dish) => sum + waits[dish.id]!, 0),
    )
    expect(fewest!).toBeLessThanOrEqual(reheats)
    expect(found.every(one => one.ticket === 7)).toBe(true)
  })

  it('ends in time with the best so far', () => {
    const found = answers({ type: 'plan', ticket: 1, day, seconds: 0.05 }, 0.02)
    expect(last(found, 'plan')).toMatchObject({ done: true })
    expect(last(found, 'plan').plan).not.toBeNull()
    expect(found.map(one => one.type)).not.toContain('tries')
  })

  it('says why a day cannot be planned', () => {
    expect(answers({ type: 'plan', ticket: 2, day: { ...day, cooks: 0 }, seconds: 1 })).toEqual([
      {
        type: 'refused',
        ticket: 2,
        troubles: expect.arrayContaining([{ code: 'no-hands', about: 'day-1' }]) as unknown,
      },
    ])
  })

  it('works out what one more of something would do', () => {
    const crowded = dayOf(
      exampleSpread({
        fires: [{ id: 'f1', name: 'Front fire' }],
        vessels: exampleSpread().vessels.filter(one => one.id !== 'v4'),
      }),
      1440 + 600,
    )
    const found = last(answers({ type: 'offers', ticket: 3, day: crowded, plan: null }), 'offers')
    expect(found.done).toBe(true)
    expect(found.offers.length).toBeGreaterThan(0)
    for (const offer of found.offers)
      expect(offer.lateMin < found.now.lateMin || offer.spanMin < found.now.spanMin).toBe(true)
    // Held against the plan on the page: nothing is offered that would not better it.
    const plan = { room: 1, lateMin: 3, spanMin: found.now.spanMin }
    const held = last(answers({ type: 'offers', ticket: 4, day: crowded, plan }), 'offers')
    expect(held.now).toEqual({ lateMin: 3, spanMin: found.now.spanMin })
    for (const offer of held.offers)
      expect(offer.lateMin < 3 || (offer.lateMin === 3 && offer.spanMin < plan.spanMin)).toBe(true)
  })
})
