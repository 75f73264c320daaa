import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../book/ingredients'
import { STARTER_DISHES } from '../../book/dishes'
import { CoreError } from '../error'
import { parseAmount } from '../measures/parseAmount'
import { measuredAmounts, standsOnShelf } from './measuredAmounts'
import { baseFor, dishWith, setAmount } from './proportionSheet'
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
    expect(rows.filter(row => standsOnShelf(row, dish.base)).map(row => row.id)).toEqual(['semolina', 'ghee', 'sugar', 'water', 'cashew'])
    const little = measuredAmounts(dish, 20, INGREDIENTS, glass, spoons)
    expect(little.filter(row => standsOnShelf(row, dish.base)).map(row => row.id)).toContain('sugar')
  })

  it('is refused where an ingredient is not in the table', () => {
    expect(() => measuredAmounts(dish, 250, INGREDIENTS.slice(1), glass, spoons)).toThrow(CoreError)
  })

  it('knows fat, sugar and liquid by what they are made of', () => {
    expect(INGREDIENTS.map(row => roleOf(row.composition))).toEqual([null, 'fat', 'sugar', 'liquid', null, null])
  })
})

describe('a sheet of proportions', () => {
  const sheet = { baseG: 250, ratios: {} }

  it('scales everything by the base and changes one proportion by any other', () => {
    expect(setAmount(sheet, 'semolina', 'semolina', 300)).toEqual({ baseG: 300, ratios: {} })
    expect(setAmount(sheet, 'semolina', 'ghee', 125)).toEqual({ baseG: 250, ratios: { ghee: 0.5 } })
    expect(dishWith(dish, { baseG: 250, ratios: { ghee: 0.5 } }).ingredients[1]!.perBase).toBe(0.5)
    expect(dishWith(dish, sheet)).toEqual(dish)
  })

  it('stays inside what a kitchen cooks', () => {
    expect(setAmount(sheet, 'semolina', 'semolina', -5).baseG).toBe(5)
    expect(setAmount(sheet, 'semolina', 'semolina', 1e9).baseG).toBe(20000)
    expect(setAmount(sheet, 'semolina', 'ghee', 1e9).ratios.ghee).toBe(20)
  })

  it('finds the base for a weight, a volume or people', () => {
    const say = (text: string): number => baseFor(parseAmount(text, glass, spoons), 0.71, 6.8, 190)
    expect(say('300 g')).toBe(300)
    expect(say('2 glasses')).toBeCloseTo(255.6)
    expect(say('6 people')).toBeCloseTo(6 * 190 / 6.8)
    expect(() => say('1 g')).toThrow(CoreError)
    expect(() => say('30 kg')).toThrow(CoreError)
  })
})
