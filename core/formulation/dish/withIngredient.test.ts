import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { rowOf } from '../../../test/support/plans'
import { ownIngredient } from '../../materials/composition/ownIngredient'
import { CoreError } from '../../error'
import { balanceShift } from '../yield/balanceShift'
import { setBaseAlone } from '../proportions/setAmount'
import { partOf } from '../swaps/applySwap'
import { goesNowhere } from './goesNowhere'
import { stageDish } from '../stages/stageDish'
import { troublesOf } from './troublesOf'
import { inPart, withIngredient, withoutIngredient } from './withIngredient'

const dish = STARTER_DISHES.find(one => one.id === 'sweet-water-semolina')!

describe('an ingredient that is added', () => {
  it('goes in somewhere, or it is said that it does not: every ingredient into every dish', () => {
    let nowhere = 0
    for (const card of STARTER_DISHES) {
      for (const row of INGREDIENTS) {
        const part = partOf(row)
        const next = withIngredient(card, row, part === 'base' ? 'helper' : part, 0.05)
        if (troublesOf(next).length > 0) continue
        const stages = stageDish(next).stages
        const left = goesNowhere(next, stages)
        nowhere += left.length
        const shift = balanceShift(card, next, 250, rowOf)
        expect(shift.nowhere, `${card.id} ${row.id}`).toEqual(left)
      }
    }
    // Balls rubbed in dry take no liquid; it is said and not measured out for nothing.
    expect(nowhere).toBeGreaterThan(0)
  })

  it('is wetted with what is there', () => {
    const milky = withIngredient(dish, rowOf('milk'), 'milk', 1)
    expect(milky.choices.liquid).toBe('water-then-milk')
    expect(withoutIngredient(milky, 'milk').choices.liquid).toBe('water')
    expect(goesNowhere(milky, stageDish(milky).stages)).toEqual([])
  })

  it('becomes more where it stands in that part already, and stands beside where it plays another', () => {
    const ghee = dish.ingredients.find(one => one.id === 'ghee')!.perBase
    expect(
      withIngredient(dish, rowOf('ghee'), 'fat', 0.1).ingredients.find(one => one.id === 'ghee')!.perBase,
    ).toBeCloseTo(ghee + 0.1, 9)
    const twice = withIngredient(dish, rowOf('ghee'), 'spice', 0.1)
    expect(twice.ingredients.map(one => one.id)).toContain('ghee-2')
    expect(inPart(twice, 'ghee-2', 'fat', rowOf('ghee')).ingredients.find(one => one.id === 'ghee-2')!.part).toBe('fat')
    expect(inPart(dish, dish.base, 'fat', rowOf('ghee'))).toBe(dish)
    expect(withoutIngredient(dish, dish.base)).toBe(dish)
  })

  it.each([0, -1, 21, Number.NaN])('is refused at %d g for each g of base', (perBase) => {
    expect(() => withIngredient(dish, rowOf('salt'), 'spice', perBase)).toThrow(CoreError)
  })

  it('says what it does to the balance', () => {
    const nuts = balanceShift(dish, withIngredient(dish, rowOf('almond-slivers'), 'nuts', 0.2), 250, rowOf)
    expect(nuts.allergens).toEqual(['almond'])
    expect(nuts.finishedG).toBeGreaterThan(40)
    const wet = balanceShift(dish, withIngredient(dish, rowOf('milk'), 'milk', 1), 250, rowOf)
    expect(wet.waterG).toBeCloseTo(250 * rowOf('milk').nutrients.water / 100, 0)
    expect(wet.standings.map(one => one.role)).toContain('liquid')
  })
})

describe('the base alone', () => {
  it('changes, and everything else keeps its weight', () => {
    const { dish: next, baseG } = setBaseAlone({ dish, baseG: 250 }, 300)
    for (const one of next.ingredients) {
      if (one.id !== next.base)
        expect(one.perBase * baseG).toBeCloseTo(dish.ingredients.find(old => old.id === one.id)!.perBase * 250, 1)
    }
    expect(next.ingredients.find(one => one.id === next.base)!.perBase).toBe(1)
  })
})

describe('an ingredient of the household\'s own', () => {
  const like = rowOf('rice-flour')
  const figures = { fat: 4, carbohydrate: 70, sugars: 2, fibre: 8, protein: 9, salt: 0.1 }

  it('takes what is known from its package, its cup and its household, and the rest from the food it is like', () => {
    const row = ownIngredient({
      id: 'own-1',
      name: 'Hill-terrace millet',
      like,
      bulkDensity: 0.6,
      figures,
      allergens: ['sesame'],
    })
    expect(row).toMatchObject({
      own: true,
      name: 'Hill-terrace millet',
      kind: 'base',
      families: ['other-flour'],
      bulkDensity: 0.6,
      allergens: ['sesame'],
    })
    const { water, solids, fat, sugar, nuts } = row.composition
    expect(water + solids + fat + sugar + nuts).toBeCloseTo(1, 9)
    expect(fat).toBeCloseTo(0.04, 2)
    expect(row.nutrients.starch).toBe(68)
    expect(row.nutrients.energyKj).toBe(Math.round(17 * 9 + 37 * 4 + 17 * 70 + 8 * 8))
    expect(row.source.composition).toContain('package')
    expect(
      ownIngredient({ id: 'own-2', name: 'x', like, bulkDensity: null, figures: null, allergens: [] }),
    ).toMatchObject({ bulkDensity: like.bulkDensity, nutrients: like.nutrients, source: { density: 'as rice flour' } })
  })

  it.each([
    ['parts beyond the whole', { ...figures, carbohydrate: 95 }],
    ['sugars beyond the carbohydrate', { ...figures, sugars: 80 }],
    ['less than nothing', { ...figures, fat: -1 }],
    ['no number', { ...figures, fat: Number.NaN }],
  ])('refuses %s', (_, wrong) => {
    expect(() =>
      ownIngredient({ id: 'own-1', name: 'x', like, bulkDensity: null, figures: wrong, allergens: [] }),
    ).toThrow(CoreError)
    expect(() => ownIngredient({ id: 'own-1', name: 'x', like, bulkDensity: 3, figures: null, allergens: [] })).toThrow(
      CoreError,
    )
  })
})
