import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import { between, handForecast, storyTo } from '../../../test/support/handForecast'
import { examplePlan, marked } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import type { Composition } from '../../materials/composition/composition'
import { contentsG, contentsNow } from '../../process/program/contentsNow'
import type { Forecast, ForecastPoint } from '../../record/plan/forecast'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { aimOf } from './aimOf'
import { repairOf } from './repairOf'

const pantry = Object.fromEntries(INGREDIENTS.map(row => [row.id, row.composition]))
const plan = examplePlan()

describe('the pan as a repair sees it', () => {
  const point = (timeS: number, stage: number, waterG: number): ForecastPoint => ({
    timeS, stage, tempC: 95, panC: 120, colour: { lightness: 70, a: 5, b: 20 }, waterG, heldG: 50, contentG: 1, volumeMl: 1,
  })
  const takeUp = mainLine(plan.dish).findIndex(one => one.id === 'take-up')
  const points = [point(100, takeUp, 400), point(200, takeUp, 300), point(250, takeUp + 1, 9)]
  const stages = mainLine(plan.dish).map((_, k) => between(0, k === takeUp + 1 ? 700 : 0))
  const marks = storyTo(plan, 'take-up')
  const seen = (nowS: number, of: CookPlan = plan, told: Partial<Forecast> = { points, stages }) =>
    repairOf(of, replay(of, marks), handForecast(told), nowS, 'runny', pantry)
  const shareOf = (waterG: number) => {
    const now = contentsNow(plan, replay(plan, marks), { waterG })
    return now.waterG / contentsG(now)
  }

  it('is the newest moment of the forecast that is past, and of no later stage', () => {
    expect(seen(150)!.remedies[0]!.before.water).toBeCloseTo(shareOf(400), 9)
    expect(seen(200)!.remedies[0]!.before.water).toBeCloseTo(shareOf(300), 9)
    expect(seen(900)!.remedies[0]!.before.water).toBeCloseTo(shareOf(300), 9)
    // Before the first it is that.
    expect(seen(50)!.remedies[0]!.before.water).toBeCloseTo(shareOf(400), 9)
    expect(seen(150, plan, { points: [point(250, takeUp + 1, 9)], stages })).toBeNull()
    expect(seen(150, plan, { points: [], stages })).toBeNull()
  })

  it('stands on the mark nearest to a middle flame, as the fire is believed', () => {
    const minutes = (watts: readonly number[], median: number) => {
      const fires = { ...plan.fires, pan: { ...plan.fires.pan!, marks: watts.map((one, i) => ({ id: `m${i}`, label: `${i}`, watts: one })) } }
      const belief = { ...plan.belief, entries: plan.belief.entries.map(one => (one.name === 'mainFire' ? { ...one, median } : one)) }
      return seen(150, { ...plan, fires, belief })!.remedies[0]!.takesS!
    }
    const at700 = minutes([700], 1)
    expect(minutes([200, 620, 880], 1) / at700).toBeCloseTo(700 / 620, 9)
    expect(minutes([200, 500, 850], 1) / at700).toBeCloseTo(700 / 850, 9)
    expect(minutes([700], 0.5) / at700).toBeCloseTo(2, 9)
    expect(minutes([], 1)).toBeCloseTo(at700, 9)
  })

  it('looks too thin and is not, until the end of its stage is past', () => {
    expect([700, 701].map(nowS => seen(nowS)!.expected)).toEqual(['looks-too-thin', null])
  })

  it('is as what comes after the fire says it would be, only once it is off', () => {
    const slab = {
      ...plan,
      dish: {
        ...plan.dish,
        stages: [
          ...plan.dish.stages.map(one => ({ ...one, expect: [] })),
          { ...plan.dish.stages.at(-1)!, id: 'set', phase: 'after' as const, expect: ['looks-too-thin' as const] },
        ],
      },
    }
    const at = (story: typeof marks) =>
      repairOf(slab, replay(slab, story), handForecast({ points, stages }), 150, 'runny', pantry)!.expected
    expect(at(marks)).toBeNull()
    expect(at([...marks, marked(90, 140, 'cook.finished')])).toBe('looks-too-thin')
  })
})

describe('what the plan wants in the pan, by hand', () => {
  const made = (of: Partial<Composition>): Composition => ({ water: 0, solids: 0, fat: 0, sugar: 0, nuts: 0, ...of })
  const of = plan.dish
  const part = (one: string) => of.ingredients.find(each => each.part === one)!.id
  const amount = (id: string, massG: number, composition: Composition) => ({ id, ingredient: id, massG, composition })
  const amounts = [
    amount(of.base, 200, made({ water: 0.1, solids: 0.9 })), amount(part('fat'), 100, made({ fat: 1 })),
    amount(part('sugar'), 180, made({ sugar: 1, invert: 0.25 })), amount(part('water'), 600, made({ water: 1 })), amount(part('nuts'), 40, made({ nuts: 1 })),
  ]
  const bare = { ...plan, amounts, forecast: null }

  it('is everything that goes in, with the share of the water that the dish keeps, or what its weight leaves', () => {
    const dry = { solidsG: 180, fatG: expect.closeTo(100, 9) as number, sugarG: 180, nutsG: 40 }
    expect(aimOf({ ...bare, dish: { ...of, kept: { share: 0.7, spread: 0 } } })).toEqual({ ...dry, waterG: expect.closeTo(620 * 0.7, 9) as number })
    const weighs = (middle: number) => aimOf({ ...bare, forecast: handForecast({ finishedG: { early: middle, middle, late: middle } }) }).waterG
    expect([800, 2000, 400].map(weighs)).toEqual([expect.closeTo(300, 9), expect.closeTo(620, 9), 0])
  })
})
