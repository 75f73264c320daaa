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

describe('one tasting by hand', () => {
  it('is weighed with the first guess in logs, and passed over where nothing is sweet', () => {
    // 27 in 100 within 0.3 at first; what was right within 0.22, what was not a twelfth off within 0.24.
    const mean = (sweetness: number, spread: number): number => {
      const [first, told] = [1 / 0.3 ** 2, 1 / spread ** 2]
      return Math.exp((Math.log(27) * first + Math.log(sweetness) * told) / (first + told))
    }
    expect(sweetnessLiked([one(35, 'right')])!.middle).toBeCloseTo(mean(35, 0.22), 9)
    expect(sweetnessLiked([one(35, 'less')])!.middle).toBeCloseTo(mean(35 * 0.88, 0.24), 9)
    expect(sweetnessLiked([one(20, 'more')])!.middle).toBeCloseTo(mean(20 * 1.14, 0.24), 9)
    const [early, late] = [sweetnessLiked([one(27, 'right')])!.early, sweetnessLiked([one(27, 'right')])!.late]
    const spread = Math.sqrt(1 / (1 / 0.3 ** 2 + 1 / 0.22 ** 2))
    expect(Math.log(late / 27)).toBeCloseTo(1.28155 * spread, 3)
    expect(Math.log(27 / early)).toBeCloseTo(1.28155 * spread, 3)
    expect(sweetnessLiked([one(0, 'less')])).toBeNull()
    expect(sweetnessLiked([one(0, 'less'), one(27, 'right')])!.batches).toEqual(['b27'])
  })
})
