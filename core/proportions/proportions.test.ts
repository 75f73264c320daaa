import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { finishedShare } from './finishedShare'
import { partsText } from './partsText'
import { SEMOLINA_SPANS, standingOf } from './spans'

describe('proportions', () => {
  it('are said in counts of the cup', () => {
    expect(partsText([360, 270, 360, 1260], 180)).toBe('2 : 1½ : 2 : 7')
    expect(partsText([360, 10], 180)).toBe('2')
  })

  it('stand in a style inside their span and on a side outside of it', () => {
    expect(standingOf('fat', 0.4, SEMOLINA_SPANS)).toMatchObject({ style: 'lean', outside: null })
    expect(standingOf('fat', 0.78, SEMOLINA_SPANS).style).toBe('everyday')
    expect(standingOf('sugar', 2.3, SEMOLINA_SPANS).style).toBe('feast')
    expect(standingOf('liquid', 2.9, SEMOLINA_SPANS)).toMatchObject({ style: null, outside: 'below' })
    expect(standingOf('liquid', 5.7, SEMOLINA_SPANS).outside).toBe('above')
  })

  it('have a style everywhere inside the span', () => {
    fc.assert(fc.property(fc.double({ min: 0.3, max: 1.3, noNaN: true }), (ratio) => {
      expect(standingOf('fat', ratio, SEMOLINA_SPANS).style).not.toBeNull()
    }))
  })

  it('lose only the water that does not stay', () => {
    const parts = [{ perBase: 1, waterShare: 0.1, base: true }, { perBase: 4, waterShare: 1, base: false }]
    expect(finishedShare(parts, 1)).toBeCloseTo(5 - 0.09)
    expect(finishedShare(parts, 0.9)).toBeCloseTo(5 - 0.09 - 0.4)
  })
})
