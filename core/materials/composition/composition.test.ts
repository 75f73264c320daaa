import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import COMPOSITION from '../../../book/composition.json'
import { compositionRows } from '../../../scripts/composition'
import { rowOf } from '../../../test/support/plans'
import { energyOf } from './energyOf'
import { mixOf, NOTHING } from './mixOf'
import { sugarsOf } from './sugarsOf'
import { houseTable, withCorrections } from './corrections'
import { densityOf } from './densityOf'
import { WEIGHT_PARTS } from './nutrients'

describe('the ingredient table', () => {
  it.each(INGREDIENTS.map(row => [row.id, row] as const))('%s adds to 100 g within 3 g', (_, { nutrients, kind }) => {
    const sum = WEIGHT_PARTS.reduce((all, part) => all + nutrients[part], 0)
    expect(Math.abs(sum - 100)).toBeLessThanOrEqual(kind === 'nuts' ? 3.5 : 3)
  })

  it.each(INGREDIENTS.filter(row => row.kind !== 'spice' && row.kind !== 'steeped').map(row => [row.id, row] as const))(
    '%s has the energy of its parts within 8 %%',
    (_, { nutrients }) => {
      if (nutrients.energyKj === 0) expect(energyOf(nutrients)).toBe(0)
      else expect(Math.abs(energyOf(nutrients) / nutrients.energyKj - 1)).toBeLessThanOrEqual(0.08)
    },
  )

  it('is what the published table says, as it is read today', () => {
    expect(compositionRows()).toEqual(COMPOSITION)
  })

  it('says where every density and composition comes from, and marks what is only recalled', () => {
    for (const row of INGREDIENTS) {
      expect(row.source.density.length).toBeGreaterThan(5)
      expect(row.source.composition.length).toBeGreaterThan(4)
      expect(row.source.compositionOrigin === 'recalled').toBe(/recalled/.test(row.source.composition))
    }
  })

  it('agrees with plain facts of the kitchen', () => {
    expect(sugarsOf(rowOf('sugar').nutrients)).toBeGreaterThan(99)
    expect(rowOf('ghee').nutrients.energyKj).toBe(3700)
    expect(rowOf('carrot-red').nutrients.water).toBeGreaterThan(80)
    expect(rowOf('khoya').nutrients.water).toBeLessThan(rowOf('milk-reduced').nutrients.water)
    expect(rowOf('wheat-flour-whole').allergens).toContain('wheat')
    expect(rowOf('ragi-flour').allergens).toEqual([])
  })
})

describe('a mix of foods', () => {
  it('is the sum of what goes in', () => {
    const mix = mixOf([{ massG: 200, food: rowOf('ghee').nutrients }, { massG: 50, food: rowOf('sugar').nutrients }])
    expect(mix.fat).toBeCloseTo(200)
    expect(mix.sucrose).toBeCloseTo(49.95)
    expect(mix.energyKj).toBeCloseTo(7400 + 0.5 * rowOf('sugar').nutrients.energyKj)
    expect(mixOf([])).toEqual(NOTHING)
  })
})

describe('corrections', () => {
  it('stand in the place of the table, and say so; the rest is untouched', () => {
    const table = withCorrections(INGREDIENTS, [
      { id: 'semolina-medium', bulkDensity: 0.73 },
      { id: 'pear', pieceG: 200, prepared: 0.8 },
      { id: 'ghee', pricePerKg: 9 },
    ])
    const of = (id: string) => table.find(row => row.id === id)!
    expect(of('semolina-medium')).toMatchObject({
      bulkDensity: densityOf(rowOf('semolina-medium'), { bulkDensity: 0.73 }).middle,
      source: { densityOrigin: 'weighed' },
    })
    expect(of('pear').piece).toMatchObject({ medium: 200 })
    expect(of('pear').piece!.small / of('pear').piece!.medium).toBeCloseTo(
      rowOf('pear').piece!.small / rowOf('pear').piece!.medium,
    )
    expect(of('pear').yields.prepared).toBe(0.8)
    expect(of('ghee').source).toEqual(rowOf('ghee').source)
    expect(of('sugar')).toBe(rowOf('sugar'))
    expect(withCorrections(INGREDIENTS, [])).toBe(INGREDIENTS)
  })

  it('are of the house, as its own ingredients are, after those of the book', () => {
    const own = { ...rowOf('sugar'), id: 'own-palm', name: 'Palm sugar of ours' }
    const kitchen = { ingredients: [own], corrections: [{ id: 'own-palm', prepared: 0.9 }, { id: 'pear', prepared: 0.7 }] }
    const table = houseTable(INGREDIENTS, kitchen)
    expect(table.slice(0, -1).map(row => row.id)).toEqual(INGREDIENTS.map(row => row.id))
    expect(table.at(-1)).toMatchObject({ id: 'own-palm', yields: { prepared: 0.9 } })
    expect(table.find(row => row.id === 'pear')!.yields.prepared).toBe(0.7)
    for (const none of [null, undefined, { ingredients: [], corrections: [] }])
      expect(houseTable(INGREDIENTS, none)).toBe(INGREDIENTS)
  })
})
