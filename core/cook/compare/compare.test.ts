import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { examplePlan, marked } from '../../../test/support/plans'
import { settleCook } from '../batch/settleCook'
import { forecastCook } from '../../process/forecast/forecastCook'
import { replay } from '../../record/replay/replay'
import type { CookPlan } from '../../record/plan/plan'
import type { BatchRecord } from './difference'
import { darker, differences } from './differences'
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

describe('what is a difference and what is none', () => {
  /** A batch by hand: nothing of its summary but what is told. */
  const by = (of: CookPlan, told: Partial<BatchRecord['summary']> = {}, marks: Parameters<typeof marked>[] = []): BatchRecord => ({
    plan: of,
    cook: replay(of, [marked(1, 0, 'cook.started'), marked(2, 300, 'stage.began', { stage: 'roast' }),
      marked(30, 900, 'stage.began', { stage: 'pour' }), ...marks.map(each => marked(...each))]),
    summary: { ...one.summary, keystoneS: 900, endS: 1500, finishedG: 1700, weighed: true, baseG: 250, darkestStep: 'pale', ...told },
  })
  const usual = by(plan)
  const only = (other: BatchRecord, than: BatchRecord = usual) => differences(other, than)

  it('a fiftieth of a base and more, of an ingredient over its base the same', () => {
    expect(only(by(plan, { baseG: 255 }, [])).filter(each => each.of === 'base')).toEqual([])
    expect(only(by(plan, { baseG: 255.1 })).find(each => each.of === 'base')).toMatchObject({ byG: expect.closeTo(5.1, 9) as number })
    const small = by(plan, { baseG: 60 })
    expect(only(by(plan, { baseG: 62 }), small).some(each => each.of === 'base')).toBe(false)
    expect(only(by(plan, { baseG: 62.1 }), small).some(each => each.of === 'base')).toBe(true)
    const ghee = plan.amounts.find(each => each.ingredient === 'ghee')!.massG
    const fat = (massG: number) => by({ ...plan, amounts: plan.amounts.map(each => (each.ingredient === 'ghee' ? { ...each, massG } : each)) })
    expect(only(fat(ghee * 1.02))).toEqual([])
    expect(only(fat(ghee * 1.03))).toEqual([{ of: 'ingredient', ingredient: 'ghee', byG: expect.closeTo(0.03 * ghee, 6) as number }])
  })

  it('a quarter of a minute of a time, and of the time after the turn where both are known', () => {
    expect(only(by(plan, { keystoneS: 914, endS: 1514 }))).toEqual([])
    expect(only(by(plan, { keystoneS: 915, endS: 1515 }))).toEqual([{ of: 'turn', byS: 15 }])
    expect(only(by(plan, { endS: 1480 }))).toEqual([{ of: 'after-turn', byS: -20 }])
    // Where a batch has no turn its end is told.
    expect(only(by(plan, { keystoneS: null, endS: 1600 }))).toEqual([{ of: 'end', byS: 100 }])
    expect(only(by(plan, { keystoneS: null, endS: null }))).toEqual([])
  })

  it('three kelvin of the room, another pan, another fire, another version of the dish', () => {
    expect(only(by({ ...plan, airC: plan.airC + 2.9 }))).toEqual([])
    expect(only(by({ ...plan, airC: plan.airC - 3 }))).toEqual([{ of: 'room', byK: -3 }])
    const pan = { ...plan.vessels.pan!, id: 'p9', name: 'another' }
    expect(only(by({ ...plan, vessels: { ...plan.vessels, pan } }))).toEqual([{ of: 'pan', is: 'another', was: plan.vessels.pan!.name }])
    const fire = { ...plan.fires.pan!, id: 'f9', name: 'another' }
    // Marks of another fire cannot be counted against these.
    expect(only(by({ ...plan, fires: { ...plan.fires, pan: fire }, flames: { ...plan.flames, roast: plan.fires.pan!.marks[0]!.id } })))
      .toEqual([{ of: 'fire', is: 'another', was: plan.fires.pan!.name }])
    expect(only(by({ ...plan, dish: { ...plan.dish, version: 9 } }))).toEqual([{ of: 'dish', version: 9, than: plan.dish.version }])
    expect(only(by({ ...plan, dish: { ...plan.dish, version: 9, id: 'other' } }))).toEqual([])
  })

  it('a flame turned in the first half of the roast, no later one', () => {
    const marks = plan.fires.pan!.marks.map(each => each.id)
    const stood = marks.indexOf(plan.flames.roast!)
    const other = marks[stood + 1] ?? marks[stood - 1]!
    const by1 = marks.indexOf(other) - stood
    const turned = (timeS: number, vessel = 'pan') => by(plan, {}, [[20, timeS, 'flame.changed', { vessel, mark: other }]])
    expect(only(turned(600))).toEqual([{ of: 'flame', marks: by1 }])
    expect(only(turned(601))).toEqual([])
    expect(only(turned(500, 'pot'))).toEqual([])
  })

  it('a colour where both were told', () => {
    expect(only(by(plan, { darkestStep: 'golden' }))).toEqual([{ of: 'colour', is: 'golden', was: 'pale' }])
    expect(only(by(plan, { darkestStep: null }))).toEqual([])
    expect([darker('golden', 'pale'), darker('pale', 'golden'), darker('pale', 'pale')]).toEqual([true, false, false])
  })

  it('a hundredth of the weight at the same base, said with whether both were weighed', () => {
    expect(only(by(plan, { finishedG: 1717 }))).toEqual([])
    expect(only(by(plan, { finishedG: 1718 }))).toEqual([{ of: 'weight', byG: 18, weighed: true }])
    expect(only(by(plan, { finishedG: 1600, weighed: false }))).toEqual([{ of: 'weight', byG: -100, weighed: false }])
    expect(only(by(plan, { baseG: 500, finishedG: 3400 })).some(each => each.of === 'weight')).toBe(false)
  })

  it('counts what went in besides, what was put right, and what was left', () => {
    const sugar = { adds: [{ ingredient: 'sugar', massG: 30, composition: plan.amounts.find(each => each.ingredient === 'sugar')!.composition }] }
    expect(only(by(plan, {}, [[31, 950, 'added', sugar], [32, 960, 'repaired', { fault: 'not-sweet', way: 'add-sugar', ...sugar }],
      [33, 970, 'unstirred', { seconds: 60 }], [34, 980, 'unstirred', { seconds: 60 }]]))).toEqual([
      { of: 'ingredient', ingredient: 'sugar', byG: expect.closeTo(60, 6) as number },
      { of: 'added', times: 1 }, { of: 'repaired', times: 1 }, { of: 'unstirred', times: 2 },
    ])
  })
})

describe('a trend by hand', () => {
  const at = (values: readonly number[]) => values.map((value, day) => ({ at: day * 86_400_000, value }))
  it('is shown by five in a row and by no four of five', () => {
    // Kendall: 10 of 10 pairs, less one, over the root of 5·4·15/18 is 2.2; 8 pairs are 1.7.
    expect(trendOf(at([1, 2, 3, 4, 5]))).toEqual({ perDay: 1, overAll: 4, shown: true })
    expect(trendOf(at([1, 2, 3, 5, 4]))).toMatchObject({ shown: false, overAll: 4 })
    expect(trendOf([...at([5, 4, 3, 2, 1])].reverse())).toEqual({ perDay: -1, overAll: -4, shown: true })
    expect(trendOf(at([1, 2, 3, 4, 5]).map(each => ({ ...each, at: 0 })))).toBeNull()
  })
})
