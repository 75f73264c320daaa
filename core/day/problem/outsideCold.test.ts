import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { dayWith, firstPlan, randomDay, standingDish, standsMin } from '../../../test/support/standingDays'
import { seededRandom } from '../../maths/random/seededRandom'
import { checkPlan } from './checkPlan'
import { clashOf } from '../planning/clashOf'
import { dayOf } from '../spread/dayOf'
import { reliefsOf } from './offersOf'
import { brokenBy } from '../spread/repairDay'
import type { Spread } from '../spread/spread'

const away = [{ from: 1440 + 13 * 60, to: 1440 + 18 * 60 + 30, why: 'out' }]
const hands = [{ id: 'h1', name: 'You', roasts: true, away }]
const steps = (spread: Spread): string[] => spread.dishes[0]!.steps.activities.map(one => one.id)

describe('what perishes, between fire and meal', () => {
  it('is known by what is in it and the water that is left', () => {
    const perishes = STARTER_DISHES.filter(card => standingDish(card.id, 'room', 24).steps.stands).map(card => card.id)
    expect(perishes).toContain('winter-market-carrot')
    expect(perishes).not.toContain('marble-gram-balls')
    expect(standingDish('marble-gram-balls', 'room', 24).steps.stands).toBeNull()
    expect(standingDish('winter-market-carrot', 'warm', 24).steps.stands).toMatchObject({ most: 120 })
    expect(standingDish('winter-market-carrot', 'warm', 34).steps.stands).toMatchObject({ most: 60 })
  })

  it('is never planned to stand for hours while its cook is away: the meal is later, and it is said what would help', () => {
    const spread = dayWith([standingDish('winter-market-carrot', 'warm', 24)], { hands })
    const plan = firstPlan(spread)!
    expect(standsMin(spread, 'd1', plan)).toBeLessThanOrEqual(120)
    expect(plan.late.m1).toBeGreaterThan(0)
    const chilled = dayWith([standingDish('winter-market-carrot', 'warm', 24, { chills: true })], { hands })
    expect(steps(chilled)).toEqual(expect.arrayContaining(['chill', 'take-out', 'warm-through']))
    const kept = firstPlan(chilled)!
    expect(kept.late).toEqual({})
    expect(standsMin(chilled, 'd1', kept)).toBeLessThanOrEqual(120)
    expect(reliefsOf(dayOf(spread, 0)).map(one => one.kind)).toContain('chilled')
    expect(reliefsOf(dayOf(chilled, 0)).map(one => one.kind)).not.toContain('chilled')
  })

  it('is named where it stands in the way of a day', () => {
    const spread = dayWith([standingDish('winter-market-carrot', 'warm', 24)], { hands })
    const day = dayOf(spread, 0)
    const pinned = { ...day, horizon: 1440 + 19 * 60, meals: day.meals }
    const search = clashOf({ ...pinned, wishes: [{ kind: 'pin', step: 'd1.grate', start: 1440 + 600 }] }, () => 0)
    let told = search.next()
    while (!told.done) told = search.next()
    expect(told.value?.map(one => `${one.kind} ${one.about}`)).toContain('keeping d1')
  })

  it('sets in the cold where it sets for longer than it may stand', () => {
    const slabs = STARTER_DISHES.filter(card => card.choices.form === 'slab').filter(
      card => standingDish(card.id, 'room', 24).steps.stands,
    )
    expect(slabs.length).toBeGreaterThan(0)
    for (const { id } of slabs) {
      const spread = dayWith([standingDish(id, 'room', 24)])
      const plan = firstPlan(spread)!
      expect(plan, id).not.toBeNull()
      expect(steps(spread), id).toContain('chill')
      expect(standsMin(spread, 'd1', plan), id).toBeLessThanOrEqual(120)
      expect(checkPlan(plan.day, plan.starts, plan.late), id).toEqual([])
    }
  })

  it('stands no longer than its rule in any plan of days drawn by chance', () => {
    const uniform = seededRandom(71)
    let [counted, refused] = [0, 0]
    const DAYS = Number(process.env.STANDING_DAYS ?? 24)
    for (let i = 0; i < DAYS; i++) {
      const { spread, roomC } = randomDay(uniform)
      const plan = firstPlan(spread)
      if (!plan) {
        refused++
        continue
      }
      expect(checkPlan(plan.day, plan.starts, plan.late), `day ${i}`).toEqual([])
      for (const dish of spread.dishes.filter(one => one.steps.stands)) {
        counted++
        expect(standsMin(spread, dish.id, plan), `day ${i}, ${dish.card.id} ${dish.serve}`).toBeLessThanOrEqual(
          roomC > 32 ? 60 : 120,
        )
      }
    }
    expect(counted).toBeGreaterThan(DAYS / 2)
    expect(refused).toBeLessThan(DAYS / 4)
  }, 600_000)

  it('is said to stand too long once the day has slipped', () => {
    const spread = dayWith([standingDish('winter-market-carrot', 'warm', 24)])
    const plan = firstPlan(spread)!
    const early = Object.fromEntries(Object.entries(plan.starts).map(([step, start]) => [step, start - 200]))
    expect(brokenBy(plan.day, early, new Map()).map(one => one.kind)).toContain('stands-long')
    expect(brokenBy(plan.day, plan.starts, new Map())).toEqual([])
  })

  it('is held to two hours in days of older versions, which did not ask', () => {
    const dish = standingDish('winter-market-carrot', 'warm', 24)
    const { stands: _, ...old } = dish.steps
    expect(dayOf(dayWith([{ ...dish, steps: old }]), 0).dishes[0]!.stands).toEqual({ from: old.sink, most: 120 })
    const dry = standingDish('marble-gram-balls', 'room', 24)
    const { stands: __, ...oldDry } = dry.steps
    expect(dayOf(dayWith([{ ...dry, steps: oldDry }]), 0).dishes[0]!.stands).toBeUndefined()
  })
})
