import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { settleCook } from '../batch/settleCook'
import { forecastCook } from '../../process/forecast/forecastCook'
import { replay } from '../../record/replay/replay'
import type { CookPlan } from '../../record/plan/plan'
import type { BatchRecord } from './difference'
import { differences } from './differences'
import { trendOf } from './trendOf'

const plan = { ...examplePlan(), forecast: forecastCook(examplePlan(), [], 0, 60) }
function record(
  of: CookPlan,
  pourS: number,
  endS: number,
  grossG: number,
  more: Parameters<typeof marked>[] = [],
): BatchRecord {
  const story = [
    marked(1, 0, 'cook.started'),
    marked(2, 330, 'stage.began', { stage: 'roast' }),
    marked(4, pourS, 'stage.began', { stage: 'pour' }),
    marked(5, pourS + 60, 'stage.began', { stage: 'take-up' }),
    marked(6, pourS + 210, 'stage.began', { stage: 'enrich' }),
    marked(7, endS, 'stage.began', { stage: 'rest' }),
    marked(8, endS + 10, 'weighed', { vessel: 'pan', grossG }),
    marked(9, endS + 300, 'cook.finished'),
    ...more.map(one => marked(...one)),
  ]
  return { plan: of, cook: replay(of, story), summary: settleCook(of, story).summary }
}
const one = record(plan, 720, 1200, 3178)

describe('the differences between two batches', () => {
  it('are none between a batch and itself', () => {
    expect(differences(one, one)).toEqual([])
  })

  it('name the flame, the fat, the pour and the weight', () => {
    const lessFat: CookPlan = {
      ...plan,
      amounts: plan.amounts.map(each => (each.ingredient === 'ghee' ? { ...each, massG: each.massG - 20 } : each)),
      flames: {
        ...plan.flames,
        roast: plan.fires.pan!.marks[plan.fires.pan!.marks.findIndex(mark => mark.id === plan.flames.roast) - 1]!.id,
      },
    }
    const other = record(lessFat, 790, 1270, 3132)
    const found = differences(other, one)
    expect(found).toContainEqual({ of: 'flame', marks: -1 })
    expect(found.find(each => each.of === 'ingredient')).toMatchObject({
      ingredient: 'ghee',
      byG: expect.closeTo(-20, 6) as number,
    })
    expect(found).toContainEqual({ of: 'turn', byS: 70 })
    expect(found).toContainEqual({ of: 'weight', byG: -46, weighed: true })
  })

  it('are turned round when the two are', () => {
    const other = record(plan, 640, 1300, 3100)
    const back = new Map(differences(one, other).map(each => [each.of, each]))
    for (const each of differences(other, one)) {
      const turned = back.get(each.of)!
      if ('byS' in each) expect((turned as typeof each).byS).toBe(-each.byS)
      if ('byG' in each) expect((turned as typeof each).byG).toBeCloseTo(-each.byG, 6)
    }
  })

  it('scale with the base: a double batch differs by its base alone', () => {
    const double: CookPlan = { ...plan, amounts: plan.amounts.map(each => ({ ...each, massG: 2 * each.massG })) }
    const found = differences(record(double, 720, 1200, 1490 + 2 * 1688), one)
    expect(found[0]).toMatchObject({ of: 'base' })
    expect(found.some(each => each.of === 'ingredient')).toBe(false)
  })

  it('say what was forgotten and what was added', () => {
    const other = record(plan, 720, 1200, 3178, [
      [10, 500, 'forgotten', { ingredient: plan.amounts.find(each => each.ingredient === 'sugar')!.id }],
    ])
    const found = differences(other, one)
    expect(found).toContainEqual({ of: 'forgotten', times: 1 })
    expect(found.some(each => each.of === 'ingredient' && each.ingredient === 'sugar' && each.byG < 0)).toBe(true)
  })
})

describe('a trend', () => {
  it('is the slope of a straight line, and shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 40 }), fc.double({ min: -50, max: 50, noNaN: true }), (count, slope) => {
        const trend = trendOf(
          Array.from({ length: count }, (_, i) => ({ at: i * 86_400_000, value: 100 + slope * i })),
        )!
        expect(trend.perDay).toBeCloseTo(slope, 6)
        if (Math.abs(slope) > 1e-6) expect(trend.shown).toBe(true)
      }),
    )
  })

  it('is not moved by one wild batch, and not shown by noise or too few', () => {
    const steady = Array.from({ length: 15 }, (_, i) => ({
      at: i * 86_400_000,
      value: 600 + [4, 9, 1, 7, 3, 8, 2, 6, 5, 0, 9, 3, 7, 1, 6][i]!,
    }))
    expect(Math.abs(trendOf([...steady, { at: 3.5 * 86_400_000, value: 9000 }])!.perDay)).toBeLessThan(1)
    expect(trendOf(steady)!.shown).toBe(false)
    expect(trendOf(steady.slice(0, 4))).toBeNull()
  })
})
