import { describe, expect, it } from 'vitest'
import { starter, rowOf } from '../../../test/support/plans'
import type { Composition } from '../../materials/composition/composition'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { Correction } from '../../materials/composition/correction'
import { BUBBLING, ROOM_TO_STIR, panFit } from '../../materials/vessel/panFit'
import { capacityMl } from '../../materials/vessel/capacityMl'
import type { DishIngredient } from '../dish/dish'
import { spansOf } from '../dish/spans'
import { finishedShare } from '../proportions/finishedShare'
import { stageContents } from './contents'
import { fitAdvice } from './fitAdvice'
import { sweetnessG } from './sweetness'
import { yieldOf } from './yieldOf'

const made = (of: Partial<Composition>): Composition => ({ water: 0, solids: 0, fat: 0, sugar: 0, nuts: 0, ...of })

describe('what is in the pan, stage by stage', () => {
  /** Nuts in fat, roast, pour of the pot, taken up, enriched, rest: 200 g of base with a tenth of water, 600 g of water. */
  const dish = { ...starter('sweet-water-semolina'), kept: { share: 0.7, spread: 0.05 } }
  const part = (of: string) => dish.ingredients.find(one => one.part === of)!.id
  const amounts = [
    { id: dish.base, massG: 200, composition: made({ water: 0.1, solids: 0.9 }) },
    { id: part('fat'), massG: 100, composition: made({ fat: 1 }) },
    { id: part('sugar'), massG: 180, composition: made({ sugar: 1 }) },
    { id: part('water'), massG: 600, composition: made({ water: 1 }) },
    { id: part('nuts'), massG: 40, composition: made({ nuts: 1 }) },
  ]
  const seconds = [60, 600, 60, 300, 300, 300]
  const contents = stageContents({ dish, amounts }, seconds)
  const fatInFirst = dish.stages.find(one => one.id === 'nuts')!.adds.find(add => add.ingredient === part('fat'))!.share

  it('loses its water where it dries, by time and by what is there; a roast dries little while it is nearly dry', () => {
    const weights = [0, 0.6 * 600 * 0.3 * 20, 0.2 * 60 * 620, 300 * 620, 0.5 * 300 * 620, 0]
    const all = weights.reduce((sum, one) => sum + one, 0)
    contents.forEach(({ from, to }, k) => expect(from.water - to.water, `stage ${k}`).toBeCloseTo(620 * 0.3 * weights[k]! / all, 6))
    expect(contents.at(-1)!.to.water).toBeCloseTo(620 * 0.7, 6)
  })

  it('takes in what each stage adds, what stood in the pot with the pour, and gives out the nuts until they come back', () => {
    expect(contents[0]!.from).toMatchObject({ fat: 100 * fatInFirst, nuts: 40, solids: 0 })
    expect(contents[1]!.from).toMatchObject({ solids: 180, nuts: 0 })
    expect([contents[1]!.to.sugar, contents[2]!.from.sugar]).toEqual([0, 180])
    expect(contents.at(-1)!.to).toMatchObject({ solids: 180, sugar: 180, fat: expect.closeTo(100, 9) as number, nuts: 40 })
  })

  it('of fresh produce roasts as it dries, whatever there is', () => {
    const fresh = stageContents({ dish: { ...dish, family: 'fruit' }, amounts }, seconds)
    const weights = [0, 0.6 * 600 * 20, 0.2 * 60 * 620, 300 * 620, 0.5 * 300 * 620, 0]
    const all = weights.reduce((sum, one) => sum + one, 0)
    expect(fresh[1]!.from.water - fresh[1]!.to.water).toBeCloseTo(620 * 0.3 * weights[1]! / all, 6)
    const wet = stageContents({ dish, amounts: amounts.map(one => (one.id === dish.base ? { ...one, composition: made({ water: 0.6, solids: 0.4 }) } : { ...one, massG: one.massG * (one.id === part('water') ? 0.5 : 1) })) }, seconds)
    // 120 g of 420 g are more than a fifth: it dries like anything else.
    const own = [0, 0.6 * 600 * 120, 0.2 * 60 * 420, 300 * 420, 0.5 * 300 * 420, 0]
    expect(wet[1]!.from.water - wet[1]!.to.water).toBeCloseTo(420 * 0.3 * own[1]! / own.reduce((sum, one) => sum + one, 0), 6)
  })
})

describe('what comes of a dish, by hand', () => {
  const nutrients = {
    water: 10, protein: 10, fat: 0, sucrose: 0, glucose: 0, fructose: 0, maltose: 0, lactose: 0, starch: 70, fibre: 8, ash: 2, acids: 0, energyKj: 1500,
  }
  const row = (id: string, told: Partial<Ingredient>, of: Partial<typeof nutrients> = {}): Ingredient =>
    ({ ...rowOf('semolina-medium'), id, name: id, allergens: [], ...told, nutrients: { ...nutrients, ...of } })
  const rows: Readonly<Record<string, Ingredient>> = {
    grain: row('grain', { kind: 'base', allergens: ['wheat'], composition: made({ water: 0.1, solids: 0.9 }) }),
    ghee: row('ghee', { kind: 'fat', allergens: ['milk'], composition: made({ fat: 1 }) }, { ...Object.fromEntries(Object.keys(nutrients).map(key => [key, 0])), fat: 100, energyKj: 3700 }),
    sugar: row('sugar', { kind: 'sugar', composition: made({ sugar: 1 }) }, { ...Object.fromEntries(Object.keys(nutrients).map(key => [key, 0])), sucrose: 100, energyKj: 1700 }),
    water: row('water', { kind: 'water', composition: made({ water: 1 }) }, { ...Object.fromEntries(Object.keys(nutrients).map(key => [key, 0])), water: 100 }),
  }
  const row0 = (id: string): Ingredient => rows[id]!
  const one = (ingredient: string, perBase: number, part?: DishIngredient['part']): DishIngredient => ({ id: ingredient, ingredient, perBase, part })
  const dish = {
    family: 'semolina', base: 'grain', portionG: 125, kept: { share: 0.8, spread: 0.05 }, choices: starter('sweet-water-semolina').choices!,
    ingredients: [one('grain', 1, 'base'), one('ghee', 0.5, 'fat'), one('sugar', 1, 'sugar'), one('water', 3, 'water')],
  }
  // 5.5 in all, less a fifth of the water and nine tenths of the grain's own.
  const perBase = 5.5 - 0.6 - 0.09

  it('is what goes in less the water that leaves', () => {
    expect(finishedShare(dish, row0)).toEqual({ perBase: expect.closeTo(perBase, 9) as number, spread: expect.closeTo(3 * 0.05, 9) as number })
    const comes = yieldOf(dish, 200, row0)
    expect(comes.finishedG.middle).toBeCloseTo(200 * perBase, 6)
    expect(comes.finishedG.late - comes.finishedG.middle).toBeCloseTo(1.28155 * 30, 2)
    expect(comes.finishedG.middle - comes.finishedG.early).toBeCloseTo(1.28155 * 30, 2)
    expect(comes.servings).toBeCloseTo(200 * perBase / 125, 6)
  })

  it('holds in a serving its share of everything', () => {
    const { serving, servingSpread, sweetness } = yieldOf(dish, 200, row0)
    const share = 125 / (200 * perBase)
    expect(serving).toEqual({
      massG: 125, energyKj: expect.closeTo(share * (3000 + 3700 + 3400), 6) as number, fatG: expect.closeTo(share * 100, 6) as number,
      sugarG: expect.closeTo(share * 200, 6) as number, fibreG: expect.closeTo(share * 16, 6) as number, proteinG: expect.closeTo(share * 20, 6) as number,
    })
    expect(servingSpread).toBeCloseTo(Math.hypot(0.08, 0.15 / perBase), 9)
    expect(sweetness.warm).toBeCloseTo(100 * 200 / (200 * perBase), 6)
  })

  it('names allergens of what goes in, and what is not read from a table', () => {
    const { allergens, recalled } = yieldOf({ ...dish, ingredients: [...dish.ingredients.slice(0, 1), one('ghee', 0, 'fat'), ...dish.ingredients.slice(2)] }, 200, row0)
    expect(allergens).toEqual([{ allergen: 'wheat', from: ['grain'] }])
    expect(yieldOf(dish, 200, row0).allergens).toEqual([{ allergen: 'wheat', from: ['grain'] }, { allergen: 'milk', from: ['ghee'] }])
    expect(recalled).not.toContain('water')
    const recalledRow = (id: string): Ingredient => ({ ...row0(id), source: { ...row0(id).source, compositionOrigin: 'recalled' } })
    expect(yieldOf(dish, 200, recalledRow).recalled).toEqual(['grain', 'ghee', 'sugar'])
  })

  it('costs what is bought, as far as prices are known', () => {
    const prices: Correction[] = [{ id: 'grain', pricePerKg: 50 }, { id: 'ghee', pricePerKg: 600 }] as never
    const { cost } = yieldOf(dish, 200, row0, prices)
    expect(cost).toEqual({ total: expect.closeTo(0.2 * 50 + 0.1 * 600, 6) as number, each: expect.closeTo(70 / (200 * perBase / 125), 6) as number, unpriced: ['sugar'] })
    expect(yieldOf(dish, 200, row0).cost).toBeNull()
    expect(yieldOf(dish, 200, row0, [{ id: 'other', pricePerKg: 9 }] as never).cost).toBeNull()
  })

  it('holds its fat up to rich, shows it up to the end of the span, and lets it pool beyond', () => {
    const { fat } = spansOf(dish)
    const look = (perBaseFat: number) => yieldOf({ ...dish, ingredients: dish.ingredients.map(each => (each.id === 'ghee' ? { ...each, perBase: perBaseFat } : each)) }, 200, row0).fat
    expect([fat.steps[2], fat.steps[2] + 0.01, fat.to, fat.to + 0.01].map(look)).toEqual(['held', 'seen-at-edge', 'seen-at-edge', 'pools'])
  })
})

describe('a pan for a dish, by hand', () => {
  const pan = (id: string, innerDiameterMm: number, depthMm = 80) => ({ id, name: id, innerDiameterMm, depthMm })
  const small = pan('small', 200)
  /** A content that fills so much of the small pan, bubbling. */
  const fills = (share: number): number => share * capacityMl(small) / BUBBLING

  it('is roomy to a half, fits to three quarters, is tight to 0.92, too small beyond', () => {
    expect([0.499, 0.501, 0.749, 0.751, 0.919, 0.921].map(share => panFit(fills(share), small).verdict))
      .toEqual(['roomy', 'fits', 'fits', 'tight', 'tight', 'too-small'])
    expect([ROOM_TO_STIR, panFit(fills(0.6), small).share]).toEqual([0.75, expect.closeTo(0.6, 9)])
    expect([0.2, 0.749, 0.751, 1.51].map(share => panFit(fills(share), small).lots)).toEqual([1, 1, 2, 3])
  })

  it('is advised: the smallest other that takes it, in lots, or in stages where a fifth is enough', () => {
    const pans = [small, pan('wide', 300), pan('middle', 240), pan('wider', 320)]
    expect(fitAdvice(fills(0.7), small, pans)).toMatchObject({ otherPan: null, lots: null, inStages: false })
    expect(fitAdvice(fills(0.9), small, pans)).toMatchObject({ otherPan: { id: 'middle' }, lots: 2, inStages: true })
    expect(fitAdvice(fills(0.95), small, pans).inStages).toBe(false)
    expect(fitAdvice(fills(1.8), small, pans)).toMatchObject({ otherPan: { id: 'wider' }, lots: 3 })
    expect(fitAdvice(fills(9), small, pans)).toMatchObject({ otherPan: null, lots: 12 })
  })
})

describe('sweetness by hand', () => {
  it('adds each sugar by how sweet it is beside sucrose', () => {
    const mix = { sucrose: 10, glucose: 10, fructose: 10, maltose: 10, lactose: 10 }
    expect(sweetnessG(mix, 'warm')).toBeCloseTo(10 * (1 + 0.65 + 0.95 + 0.4 + 0.25), 9)
    expect(sweetnessG(mix, 'cold')).toBeCloseTo(10 * (1 + 0.65 + 1.4 + 0.4 + 0.25), 9)
  })
})
