import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { rowOf } from '../../../test/support/plans'
import { stageDish } from '../stages/stageDish'
import { holdWater, liquidAccount } from '../proportions/liquidAccount'
import { fitAdvice } from './fitAdvice'
import { sweetnessG } from './sweetness'
import { volumesOf } from './volumes'
import { yieldOf } from './yieldOf'

const starter = (id: string) => STARTER_DISHES.find(dish => dish.id === id)!
const none = { sucrose: 0, glucose: 0, fructose: 0, maltose: 0, lactose: 0 }

describe('sweetness', () => {
  it('is that of sucrose for sucrose, and fruit is sweeter cold than warm', () => {
    expect(sweetnessG({ ...none, sucrose: 10 }, 'warm')).toBe(10)
    expect(sweetnessG({ ...none, fructose: 10 }, 'cold')).toBeGreaterThan(sweetnessG({ ...none, fructose: 10 }, 'warm'))
    expect(sweetnessG({ ...none, lactose: 10 }, 'warm')).toBeLessThan(4)
  })
})

describe('what comes of a dish', () => {
  it.each(STARTER_DISHES.map(dish => [dish.id, dish] as const))('%s is believable', (_, dish) => {
    const comes = yieldOf(dish, dish.usual.baseG, rowOf)
    expect(comes.finishedG.early).toBeLessThan(comes.finishedG.middle)
    expect(comes.servings).toBeGreaterThan(3)
    expect(comes.sweetness.warm).toBeGreaterThan(10)
    expect(comes.sweetness.warm).toBeLessThan(50)
    expect(comes.fat).not.toBe('pools')
    const { massG, energyKj, fatG, sugarG, fibreG, proteinG } = comes.serving
    expect(fatG + sugarG + fibreG + proteinG).toBeLessThan(massG)
    expect(energyKj / massG).toBeGreaterThan(5)
    expect(energyKj / massG).toBeLessThan(26)
    expect(comes.cost).toBeNull()
  })

  it('scales: a serving stays the same under any amount', () => {
    fc.assert(
      fc.property(fc.constantFrom(...STARTER_DISHES), fc.double({ min: 20, max: 5000, noNaN: true }), (dish, baseG) => {
        const one = yieldOf(dish, 100, rowOf)
        const other = yieldOf(dish, baseG, rowOf)
        expect(other.serving.energyKj).toBeCloseTo(one.serving.energyKj, 6)
        expect(other.sweetness.cold).toBeCloseTo(one.sweetness.cold, 6)
        expect(other.servings / one.servings).toBeCloseTo(baseG / 100, 6)
      }),
      { numRuns: 60 },
    )
  })

  it('conserves what goes in: water is all that leaves', () => {
    for (const dish of STARTER_DISHES) {
      const ins = dish.ingredients.reduce((sum, one) => sum + one.perBase, 0)
      expect(yieldOf(dish, 1, rowOf).finishedG.middle, dish.id).toBeLessThan(
        ins + (dish.family === 'lentil' ? 1.7 : 0.5),
      )
    }
  })

  it('names allergens with what carries them, and says when fat pools', () => {
    const dish = starter('sweet-water-semolina')
    expect(yieldOf(dish, 250, rowOf).allergens.map(one => one.allergen)).toEqual(['wheat', 'milk', 'cashew'])
    const greasy = {
      ...dish,
      ingredients: dish.ingredients.map(one => (one.part === 'fat' ? { ...one, perBase: 1.5 } : one)),
    }
    expect(yieldOf(greasy, 250, rowOf).fat).toBe('pools')
  })

  it('costs what the household pays, by what has to be bought, and names what has no price', () => {
    const comes = yieldOf(starter('winter-market-carrot'), 850, rowOf, [
      { id: 'carrot-red', pricePerKg: 50 },
      { id: 'ghee', pricePerKg: 600 },
    ])
    expect(comes.cost!.total).toBeCloseTo(50 * 0.85 / 0.85 + 600 * 0.85 * 0.07, 6)
    expect(comes.cost!.unpriced).toContain('Sugar')
  })
})

describe('the liquid account', () => {
  it('counts everything that brings water, and what melts and steeps', () => {
    const account = liquidAccount(starter('threshing-floor-wheat'), 200, rowOf)
    expect(account.plainG).toBeCloseTo(820)
    expect(account.lines.find(line => line.what === 'melts')!.waterG).toBeCloseTo(0.35 * 220)
    expect(account.toPourG).toBeCloseTo(820 - 77)
    const paste = liquidAccount(starter('long-spoon-mung'), 200, rowOf)
    expect(paste.lines.find(line => line.id === 'lentil')!.waterG).toBeCloseTo(200 * 1.05 * 0.965, 0)
    expect(paste.totalG).toBeCloseTo(
      paste.plainG + paste.lines.filter(line => line.what === 'brings').reduce((sum, line) => sum + line.waterG, 0),
      6,
    )
  })

  it('says when more is taken than there is', () => {
    const dish = starter('threshing-floor-wheat')
    const dry = {
      ...dish,
      ingredients: dish.ingredients.map(one => (one.part === 'water' ? { ...one, perBase: 0.1 } : one)),
    }
    expect(liquidAccount(dry, 200, rowOf)).toMatchObject({ overdrawn: true, toPourG: 0 })
  })

  it('keeps its total when something else changes, as far as plain water can give way', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          ...STARTER_DISHES.filter(
            dish => dish.ingredients.some(one => one.part === 'water') && dish.ingredients.length > 3,
          ),
        ),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (dish, factor) => {
          const before = liquidAccount(dish, 1000, rowOf).totalG / 1000
          const other = dish.ingredients.findLast(one => one.part !== 'water' && one.id !== dish.base)!
          const changed = {
            ...dish,
            ingredients: dish.ingredients.map(one =>
              one.id === other.id ? { ...one, perBase: one.perBase * factor } : one,
            ),
          }
          const held = holdWater(changed, before, rowOf)
          expect(liquidAccount(held.dish, 1000, rowOf).totalG / 1000 + held.missing).toBeCloseTo(before, 9)
          if (factor <= 1) expect(held.missing).toBeCloseTo(0, 9)
        },
      ),
    )
  })

  it('has nothing to give where there is no plain water', () => {
    const dish = starter('milk-morning-semolina')
    const held = holdWater({ ...dish, ingredients: dish.ingredients.filter(one => one.part !== 'milk') }, 4, rowOf)
    expect(held.missing).toBeGreaterThan(3.5)
  })

  it('gives and takes plain water in its parts, and says what it cannot', () => {
    const base = starter('sweet-water-semolina')
    const one = (id: string, perBase: number) => ({ id, ingredient: 'water', perBase, part: 'water' as const })
    const others = base.ingredients.filter(each => each.part !== 'water')
    const bring = liquidAccount({ ...base, ingredients: others }, 1000, rowOf).totalG / 1000
    const waters = (held: ReturnType<typeof holdWater>): number[] =>
      held.dish.ingredients.filter(each => each.part === 'water').map(each => each.perBase)
    const two = { ...base, ingredients: [...others, one('a', 1), one('b', 3)] }
    expect(waters(holdWater(two, bring + 2, rowOf)).map(each => each.toFixed(6))).toEqual(['0.500000', '1.500000'])
    const none = { ...base, ingredients: [...others, one('a', 0), one('b', 0)] }
    expect(waters(holdWater(none, bring + 2, rowOf)).map(each => each.toFixed(6))).toEqual(['1.000000', '1.000000'])
    const short = holdWater(two, bring - 0.5, rowOf)
    expect(waters(short)).toEqual([0, 0])
    expect(short.missing).toBeCloseTo(-0.5, 9)
    expect(holdWater({ ...base, ingredients: others }, bring + 1.5, rowOf).missing).toBeCloseTo(1.5, 9)
  })

  it('is overdrawn by more than half a gram, and steeps a tenth of a small base', () => {
    const base = starter('sweet-water-semolina')
    const grain = base.ingredients.filter(each => each.id === base.base)
    const with_ = (
      waterPerBase: number,
      more: readonly { id: string; ingredient: string; perBase: number; part: 'jaggery' | 'steeped' }[],
    ) => ({
      ...base,
      ingredients: [
        ...grain,
        { id: 'water', ingredient: 'water', perBase: waterPerBase, part: 'water' as const },
        ...more,
      ],
    })
    const jaggery = { id: 'j', ingredient: 'jaggery', perBase: 1, part: 'jaggery' as const }
    const saffron = { id: 's', ingredient: 'saffron', perBase: 0.001, part: 'steeped' as const }
    expect(liquidAccount(with_(0.346, [jaggery]), 100, rowOf)).toMatchObject({ overdrawn: false, toPourG: 0 })
    expect(liquidAccount(with_(0.344, [jaggery]), 100, rowOf)).toMatchObject({ overdrawn: true, toPourG: 0 })
    const steeps = (baseG: number): number | undefined =>
      liquidAccount(with_(3, [saffron]), baseG, rowOf).lines.find(line => line.what === 'steeps')?.waterG
    expect([100, 200, 500].map(steeps)).toEqual([10, 20, 20])
    expect(
      liquidAccount(with_(0, [jaggery, saffron]), 100, rowOf).lines.filter(line => line.what !== 'brings'),
    ).toEqual([])
    expect(
      liquidAccount(
        with_(3, [
          { ...jaggery, perBase: 0 },
          { ...saffron, perBase: 0 },
        ]),
        100,
        rowOf,
      ).lines,
    ).toEqual([])
  })
})

describe('whether it fits', () => {
  const pans = [
    { id: 'small', name: 'Small', innerDiameterMm: 180, depthMm: 60 },
    { id: 'wide', name: 'Wide', innerDiameterMm: 280, depthMm: 80 },
    { id: 'vast', name: 'Vast', innerDiameterMm: 360, depthMm: 120 },
  ]

  it('names the smallest pan that takes it, the lots, or fat and liquid in stages', () => {
    const { greatestMl } = volumesOf(stageDish(starter('sweet-water-semolina')), 300, rowOf)
    const advice = fitAdvice(greatestMl, pans[0]!, pans)
    expect(advice.fit.verdict).toBe('too-small')
    expect(advice.otherPan!.id).toBe('wide')
    expect(advice.lots).toBeGreaterThan(1)
    expect(fitAdvice(greatestMl, pans[1]!, pans)).toMatchObject({ otherPan: null, lots: null, inStages: false })
    expect(fitAdvice(3500, pans[1]!, [pans[1]!])).toMatchObject({ otherPan: null, inStages: true })
  })

  it('knows that fresh vegetables stand highest before they soften, and grain when the liquid is in', () => {
    // Gourd of 96 % water with its ghee, half of it air; then no piece has air left that matters (model.md).
    const gourd = volumesOf(stageDish(starter('garden-wall-gourd')), 800, rowOf)
    expect(gourd.greatestMl / ((766 + 34 / 1.5 + 48 / 0.92) / 0.5)).toBeCloseTo(1, 1)
    expect(gourd.greatestMl).toBeGreaterThan(2 * gourd.finishedMl)
    // Semolina, sugar, ghee, nuts and water by the densities of their substances.
    const grain = volumesOf(stageDish(starter('sweet-water-semolina')), 250, rowOf)
    expect(grain.greatestMl / (227 / 1.5 + 262 / 1.59 + 195 / 0.92 + 40 / 1.05 + 1072)).toBeCloseTo(1, 1)
    for (const dish of STARTER_DISHES)
      expect(volumesOf(stageDish(dish), 200, rowOf).density, dish.id).toBeGreaterThan(0.75)
  })
})
