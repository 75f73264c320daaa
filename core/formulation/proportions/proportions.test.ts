import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { finishedShare } from './finishedShare'
import { partsText } from './partsText'
import { rowOf, starter } from '../../../test/support/plans'
import { spansOf, placeInSpan } from '../dish/spans'

const SEMOLINA = spansOf({ family: 'semolina' })

describe('proportions', () => {
  it('are said in counts of the cup', () => {
    expect(partsText([360, 270, 360, 1260], 180)).toBe('2 : 1½ : 2 : 7')
    expect(partsText([360, 10], 180)).toBe('2')
  })

  it('stand in a style inside their span and on a side outside of it', () => {
    expect(placeInSpan('fat', 0.4, SEMOLINA)).toMatchObject({ style: 'lean', outside: null })
    expect(placeInSpan('fat', 0.78, SEMOLINA).style).toBe('everyday')
    expect(placeInSpan('sugar', 2.3, SEMOLINA).style).toBe('feast')
    expect(placeInSpan('liquid', 2.9, SEMOLINA)).toMatchObject({ style: null, outside: 'below' })
    expect(placeInSpan('liquid', 5.7, SEMOLINA).outside).toBe('above')
  })

  it('have a style everywhere inside the span', () => {
    fc.assert(fc.property(fc.double({ min: 0.3, max: 1.3, noNaN: true }), (ratio) => {
      expect(placeInSpan('fat', ratio, SEMOLINA).style).not.toBeNull()
    }))
  })

  it('say how sure the consequence is by how far outside they lie', () => {
    expect(placeInSpan('fat', 1.35, SEMOLINA).sure).toBe('may')
    expect(placeInSpan('fat', 1.6, SEMOLINA).sure).toBe('likely')
    expect(placeInSpan('fat', 2.2, SEMOLINA).sure).toBe('surely')
  })

  it('lose only the water that does not stay, and what the roast drives out', () => {
    const all = finishedShare({ ...starter(), kept: { share: 1, spread: 0.03 } }, rowOf).perBase
    const some = finishedShare({ ...starter(), kept: { share: 0.9, spread: 0.03 } }, rowOf).perBase
    const ins = starter().ingredients.reduce((sum, one) => sum + one.perBase, 0)
    expect(all).toBeCloseTo(ins - 0.9 * rowOf('semolina-medium').nutrients.water / 100, 9)
    expect(all - some).toBeCloseTo(0.1 * 4.2, 1)
  })

  it('finish at what is in them, reckoned by hand', () => {
    const one = (id: string, ingredient: string, perBase: number) => ({ id, ingredient, perBase })
    const water = (ingredient: string): number => rowOf(ingredient).nutrients.water / 100
    const kept = { share: 0.6, spread: 0.05 }
    const [suji, ghee] = [water('semolina-medium'), water('ghee')]
    // Grain: nine tenths of its moisture leave in the roast; of what is poured and in the fat six tenths stay.
    const grain = { family: 'semolina', base: 'semolina', kept, ingredients: [
      one('semolina', 'semolina-medium', 1), one('water', 'water', 3), one('ghee', 'ghee', 0.5),
    ] }
    expect(finishedShare(grain, rowOf).perBase).toBeCloseTo(1 - 0.9 * suji + 3 + 0.5 - 0.4 * (3 + 0.5 * ghee), 9)
    expect(finishedShare(grain, rowOf).spread).toBeCloseTo(0.05 * (3 + 0.5 * ghee), 9)
    // Produce: its own juice is liquid like any other, and nothing is roasted out.
    const produce = {
      family: 'vegetable',
      base: 'vegetable',
      kept,
      ingredients: [one('vegetable', 'carrot-red', 1), one('milk', 'water', 0.5)],
    }
    expect(finishedShare(produce, rowOf).perBase).toBeCloseTo(1.5 - 0.4 * (water('carrot-red') + 0.5), 9)
    // A ground paste: what soaking brought is liquid, its own moisture is roasted out.
    const row = rowOf('mung-split')
    const soaked = row.yields.soakGain * row.yields.ground
    const paste = {
      family: 'lentil',
      base: 'lentil',
      kept,
      choices: { preparation: 'raw-paste' as const },
      ingredients: [one('lentil', 'mung-split', 1)],
    }
    expect(finishedShare(paste, rowOf).perBase).toBeCloseTo(1 + soaked - 0.9 * water('mung-split') - 0.4 * soaked, 9)
    expect(finishedShare(paste, rowOf).spread).toBeCloseTo(0.05 * soaked, 9)
  })
})
