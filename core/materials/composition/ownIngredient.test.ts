import { describe, expect, it } from 'vitest'
import { rowOf } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { energyOf } from './energyOf'
import { ownIngredient, type PackageFigures, type SaidOfIngredient } from './ownIngredient'

const like = { ...rowOf('semolina-medium'), nutrients: { ...rowOf('semolina-medium').nutrients, sucrose: 1, glucose: 0, fructose: 0, maltose: 3, lactose: 0 } }
const figures: PackageFigures = { fat: 10, carbohydrate: 50, sugars: 8, fibre: 5, protein: 12, salt: 1 }
const said: SaidOfIngredient = { id: 'own-1', name: 'Mill flour', like, bulkDensity: 0.7, figures, allergens: ['wheat'] }
const own = (told: Partial<PackageFigures> = {}, more: Partial<SaidOfIngredient> = {}) =>
  ownIngredient({ ...said, ...more, figures: { ...figures, ...told } })
const refusal = (told: Partial<PackageFigures>, more: Partial<SaidOfIngredient> = {}): [string, unknown] | null => {
  try {
    own(told, more)
  }
  catch (error) {
    if (error instanceof CoreError) return [error.path, error.limits.given]
    throw error
  }
  return null
}

describe('a food of the household\'s own', () => {
  it('has what its package says, the rest water, and its sugars as the food it is like has them', () => {
    const { nutrients } = own()
    expect(nutrients).toMatchObject({
      water: 22, protein: 12, fat: 10, starch: 42, fibre: 5, ash: 1, acids: 0, sucrose: 2, glucose: 0, fructose: 0, maltose: 6, lactose: 0,
    })
    // Kilojoules by the factors of the regulation: 17 for protein and carbohydrate, 37 for fat, 8 for fibre.
    expect(nutrients.energyKj).toBe(17 * 12 + 37 * 10 + 17 * 50 + 8 * 5)
    const none = { ...like, nutrients: { ...like.nutrients, sucrose: 0, maltose: 0 } }
    expect(own({}, { like: none }).nutrients).toMatchObject({ sucrose: 8, maltose: 0 })
  })

  it('has figures that were rounded up brought back to a hundred', () => {
    const { nutrients } = own({ carbohydrate: 74 })
    // 102 g of 100 g.
    expect(nutrients).toMatchObject({ water: 0, fat: expect.closeTo(10 / 1.02, 9) as number, starch: expect.closeTo(66 / 1.02, 9) as number, maltose: expect.closeTo(6 / 1.02, 9) as number })
    expect(own({ carbohydrate: 72 }).nutrients).toMatchObject({ water: 0, fat: 10 })
  })

  it('is refused where it cannot be so', () => {
    expect(refusal({ carbohydrate: 75 })).toBeNull()
    expect(refusal({ carbohydrate: 75.1 })).toEqual(['ownIngredient.figures', 103.1])
    expect(refusal({ sugars: 50.5 })).toBeNull()
    expect(refusal({ sugars: 50.6 })).toEqual(['ownIngredient.sugars', 50.6])
    expect(own({ sugars: 50.5 }).nutrients).toMatchObject({ starch: 0, maltose: 37.5 })
    expect(refusal({ fat: -0.1 })).toEqual(['ownIngredient.fat', -0.1])
    expect(refusal({ salt: 100.1 })).toEqual(['ownIngredient.salt', 100.1])
    expect(refusal({ fat: Number.NaN })![0]).toBe('ownIngredient.fat')
    expect(refusal({ fat: 100, carbohydrate: 0, sugars: 0, fibre: 0, protein: 0, salt: 0 })).toBeNull()
    expect([0.09, 2.01].map(bulkDensity => refusal({}, { bulkDensity }))).toEqual([0.09, 2.01].map(given => ['ownIngredient.bulkDensity', given]))
    expect([0.1, 2].map(bulkDensity => refusal({}, { bulkDensity }))).toEqual([null, null])
  })

  it('is as the food it is like in all that was not said, and says where each figure comes from', () => {
    const bare = ownIngredient({ ...said, bulkDensity: null, figures: null })
    expect(bare).toMatchObject({ bulkDensity: like.bulkDensity, nutrients: like.nutrients, kind: like.kind, families: like.families, own: true, allergens: ['wheat'], otherNames: [] })
    expect(bare.source).toMatchObject({ densityOrigin: 'estimate', compositionOrigin: 'estimate', density: `as ${like.name.toLowerCase()}` })
    expect(own().source).toMatchObject({ densityOrigin: 'weighed', density: 'weighed by the household' })
    expect(own({}, { kind: 'sugar' })).toMatchObject({ kind: 'sugar', families: [], piece: null })
  })

  it('is kept whole where it is a nut like one that is', () => {
    const cashew = rowOf('cashew-halves')
    expect(own({}, { like: cashew }).composition).toEqual({ water: 0, solids: 0, fat: 0, sugar: 0, nuts: 1 })
    expect(own({}, { like: cashew, kind: 'base' }).composition.nuts).toBe(0)
    expect(own().composition).toMatchObject({ water: 0.22, fat: 0.1, sugar: 0.08, solids: 0.6 })
  })

  it('has the energy of its parts', () => {
    const nothing = { ...like.nutrients, water: 0, protein: 0, fat: 0, sucrose: 0, glucose: 0, fructose: 0, maltose: 0, lactose: 0, starch: 0, fibre: 0, ash: 0, acids: 0 }
    expect((['protein', 'fat', 'starch', 'sucrose', 'lactose', 'fibre', 'acids', 'ash', 'water'] as const).map(part => energyOf({ ...nothing, [part]: 10 })))
      .toEqual([170, 370, 170, 170, 170, 80, 130, 0, 0])
  })
})
