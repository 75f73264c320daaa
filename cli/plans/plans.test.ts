import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { checkDay } from '../../core/day/problem/checkDay'
import { inventDay } from './inventDay'
import { judgeDay, judgeInvented, judgePlans, summaryOf, type JudgedDay } from './judgePlans'
import { judgeTries } from './judgeTries'

describe('an invented day', () => {
  it('is the same for the same seed, another for another, and has nothing wrong with it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 24 }),
        fc.integer({ min: 1, max: 3 }),
        (seed, dishes, days) => {
          const day = inventDay(seed, dishes, days)
          expect(inventDay(seed, dishes, days)).toEqual(day)
          expect(day.dishes).toHaveLength(dishes)
          expect(day.meals.length).toBeGreaterThanOrEqual(days)
          // A heavy pan may be the large one; all else that is needed is there.
          expect(checkDay(day)).toEqual([])
        },
      ),
      { numRuns: 60, seed: 4 },
    )
    expect(inventDay(1, 6)).not.toEqual(inventDay(2, 6))
  })
})

describe('the judge of plans', () => {
  let folder: string
  beforeEach(() => { folder = mkdtempSync(join(tmpdir(), 'yon-hearth-days-')) })
  afterEach(() => rmSync(folder, { recursive: true, force: true }))

  it('reads any folder of days, beside the best plans known where there are some', () => {
    const days = [inventDay(3, 2), inventDay(8, 3)]
    for (const day of days) writeFileSync(join(folder, `${day.id}.json`), JSON.stringify(day))
    const alone = judgePlans(folder, 20, false)
    expect(alone.days.map(day => day.id)).toEqual(days.map(day => day.id).sort())
    expect(alone.summary).toMatchObject({
      days: 2,
      planned: 2,
      proven: 2,
      breaches: 0,
      bestAtEnd: 0,
      belowBest: 0,
      medianGap: 0,
    })
    const instances = alone.days.map(day => ({
      id: day.id,
      best: day.cost! + (day.id === days[0]!.id ? 5 : 0),
      plan: day.plan,
    }))
    writeFileSync(join(folder, 'best.json'), JSON.stringify({ instances }))
    expect(judgePlans(folder, 20, false).summary).toMatchObject({ days: 2, bestAtEnd: 2, belowBest: 1 })
  })

  it('refuses a file that is no day, by name of what is wrong', () => {
    writeFileSync(join(folder, 'x.json'), JSON.stringify({ id: 'x' }))
    expect(() => judgePlans(folder)).toThrow(/now|horizon/)
  })

  it('says what is wrong with a day that cannot be planned', () => {
    const day = inventDay(3, 2)
    const judged = judgeDay({ ...day, cooks: 0 })
    expect(judged).toMatchObject({ cost: null, proven: false, plan: {} })
    expect(judged.breaches).toContain(
      `no-hands ${day.id}: Nobody is there to cook. The day is kept; add somebody under Hands.`,
    )
  })

  it('says what of a day cannot be had together where no plan fits', () => {
    const day = inventDay(3, 2)
    const [step] = Object.keys(judgeDay(day).plan)
    const wishes = [{ kind: 'pin' as const, step: step!, start: day.now - 60 }]
    expect(judgeDay({ ...day, wishes }).breaches).toEqual([
      expect.stringMatching(/^These cannot be had together: .*the time that was wished for .*give one of them up/),
    ])
    expect(
      judgeDay({ ...day, away: [{ cook: 'all', from: 0, to: day.horizon + 5000, why: 'sleep' }] }).breaches,
    ).toEqual(['What stands against this day: the hours of sleep. The day is kept; change that.'])
  })

  it('tries a plan with room, and finds it sounder than the bare one, for a day somewhat longer', () => {
    const day = inventDay(12, 4)
    const judged = judgeDay(day)
    const tried = judgeTries(day, judged.plan)!
    expect(tried.tries).toBe(400)
    expect(tried.lateMeals).toBeLessThan(0.1)
    expect(tried.bareLateTries).toBeGreaterThan(tried.lateMeals)
    expect(tried.longer).toBeGreaterThan(1)
    expect(tried.longer).toBeLessThan(1.5)
    expect(Object.keys(tried.padded).length).toBeGreaterThanOrEqual(day.dishes.flatMap(dish => dish.activities).length)
  })

  it('counts gaps against what plans cost, the middle one, and tries as a mean over the days', () => {
    const one = (id: string, cost: number, bound: number, late: number): JudgedDay => ({
      id,
      cost,
      bound,
      proven: cost === bound,
      seconds: 1,
      firstS: 0.1,
      costAt: { 0.5: cost, 2: cost },
      best: null,
      late: {},
      breaches: [],
      plan: {},
      tried: { tries: 400, lateMeals: late, coldPours: 0, waitedBases: 0, longer: 1.1, bareLateTries: 0.5, padded: {} },
    })
    const summary = summaryOf([one('a', 100, 90, 0), one('b', 100, 100, 0.02), one('c', 200, 100, 0.04)])
    expect(summary.medianGap).toBeCloseTo(0.1, 9)
    expect(summary.lateMeals).toBeCloseTo(0.02, 9)
    expect(summary.tried).toBe(3)
    expect(summaryOf([]).medianGap).toBe(0)
  })

  it('plans invented days, never below their bounds', () => {
    const { days, summary } = judgeInvented(6, 2, 1)
    expect(days).toHaveLength(2)
    expect(summary).toMatchObject({ planned: 2, breaches: 0 })
    for (const day of days) expect(day.bound).toBeLessThanOrEqual(day.cost! + 1e-9)
  })
})
