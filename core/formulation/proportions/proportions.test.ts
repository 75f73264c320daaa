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
})
