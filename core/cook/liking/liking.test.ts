import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sweetnessLiked, type Tasted } from './sweetnessLiked'

const one = (sweetness: number, liking: Tasted['liking']): Tasted => ({
  batch: `b${sweetness}`,
  at: 0,
  sweetness,
  liking,
})

describe('how sweet a house likes it', () => {
  it('is not known before anybody has tasted', () => {
    expect(sweetnessLiked([])).toBeNull()
  })

  it('lies below what was too sweet and above what was not, and grows surer', () => {
    const less = sweetnessLiked([one(30, 'less'), one(31, 'less')])!
    expect(less.middle).toBeLessThan(30)
    expect(sweetnessLiked([one(22, 'more'), one(21, 'more')])!.middle).toBeGreaterThan(22)
    const more = sweetnessLiked([one(30, 'less'), one(31, 'less'), one(26, 'right'), one(27, 'right')])!
    expect(more.late - more.early).toBeLessThan(less.late - less.early)
    expect(more.batches).toHaveLength(4)
  })

  it('comes to what was always right', () => {
    fc.assert(fc.property(fc.double({ min: 12, max: 50, noNaN: true }), (sweetness) => {
      const liked = sweetnessLiked(Array.from({ length: 40 }, () => one(sweetness, 'right')))!
      expect(Math.abs(Math.log(liked.middle / sweetness))).toBeLessThan(0.03)
      expect(liked.early).toBeLessThan(liked.middle)
    }))
  })
})
