import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import { STARTER_DISHES } from '../../../book/dishes'
import { CoreError } from '../../error'
import { measuredAmounts, standsOnShelf } from './measuredAmounts'
import { setAmount } from './setAmount'
import { roleOf } from './roleOf'

const dish = STARTER_DISHES[0]!
const glass = { id: 'glass', name: 'Glass', volumeMl: 180 }
const spoons = [{ id: 'tbsp', name: 'Tablespoon', volumeMl: 15 }, { id: 'tsp', name: 'Teaspoon', volumeMl: 5 }]

describe('a dish measured out', () => {
  it('gives every ingredient by its own bulk density, in the dish\'s order', () => {
    const rows = measuredAmounts(dish, 255.6, INGREDIENTS, glass, spoons)
    expect(rows.map(row => row.id)).toEqual(dish.ingredients.map(one => one.id))
    expect(rows[0]!.cups).toBeCloseTo(2, 9)
    expect(rows[0]!.spoken.text).toBe('2')
    for (const row of rows) expect(row.volumeMl * row.row.bulkDensity).toBeCloseTo(row.massG, 9)
  })

  it('keeps its parts under any scaling', () => {
    fc.assert(fc.property(fc.double({ min: 10, max: 5000, noNaN: true }), (baseG) => {
      const rows = measuredAmounts(dish, baseG, INGREDIENTS, glass, spoons)
      rows.forEach((row, i) => expect(row.massG / rows[0]!.massG).toBeCloseTo(dish.ingredients[i]!.perBase, 9))
    }))
  })

  it('puts cups on the shelf and leaves pinches off it', () => {
    const rows = measuredAmounts(dish, 250, INGREDIENTS, glass, spoons)
    expect(rows.filter(row => standsOnShelf(row, dish.base)).map(row => row.id)).toEqual([
      'semolina',
      'ghee',
      'sugar',
      'water',
      'cashew',
    ])
    const little = measuredAmounts(dish, 20, INGREDIENTS, glass, spoons)
    expect(little.filter(row => standsOnShelf(row, dish.base)).map(row => row.id)).toContain('sugar')
  })

  it('is refused where an ingredient is not in the table', () => {
    expect(() =>
      measuredAmounts(
        dish,
        250,
        INGREDIENTS.filter(row => row.id !== 'ghee'),
        glass,
        spoons,
      ),
    ).toThrow(CoreError)
  })

  it('knows fat, sugar and liquid by what they are made of', () => {
    const role = (id: string) => roleOf(INGREDIENTS.find(row => row.id === id)!.composition)
    expect(['semolina-medium', 'ghee', 'sugar', 'water', 'cashew-halves', 'milk', 'cardamom-ground'].map(role)).toEqual(
      [null, 'fat', 'sugar', 'liquid', null, 'liquid', null],
    )
    expect(roleOf(INGREDIENTS.find(row => row.id === 'carrot-red')!.composition, 'base')).toBeNull()
  })
})

describe('a dish in hand', () => {
  const hand = { dish, baseG: 250 }

  it('scales everything by the base and changes one proportion by any other', () => {
    expect(setAmount(hand, 'semolina', 300)).toEqual({ dish, baseG: 300 })
    const richer = setAmount(hand, 'ghee', 125)
    expect(richer.baseG).toBe(250)
    expect(richer.dish.ingredients.map(one => one.perBase)).toEqual([
      1,
      0.5,
      ...dish.ingredients.slice(2).map(one => one.perBase),
    ])
  })

  it('stays inside what a kitchen cooks', () => {
    expect(setAmount(hand, 'semolina', -5).baseG).toBe(5)
    expect(setAmount(hand, 'semolina', 1e9).baseG).toBe(20000)
    expect(setAmount(hand, 'ghee', 1e9).dish.ingredients[1]!.perBase).toBe(20)
  })
})
