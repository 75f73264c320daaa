import { drawnEvenly } from './drawnEvenly'
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { fillNormal } from './fillNormal'
import { normalCdf } from './normalCdf'
import { seededRandom } from './seededRandom'
import { weightedQuantile } from './weightedQuantile'

describe('seeded chance', () => {
  it('gives the same numbers for the same seed and others for another', () => {
    const take = (seed: number): number[] => Array.from({ length: 5 }, seededRandom(seed))
    expect(take(7)).toEqual(take(7))
    expect(take(7)).not.toEqual(take(8))
  })

  it('is uniform in mean and spread', () => {
    const next = seededRandom(1)
    const numbers = Array.from({ length: 20000 }, () => next())
    const mean = numbers.reduce((sum, x) => sum + x, 0) / numbers.length
    const variance = numbers.reduce((sum, x) => sum + (x - mean) ** 2, 0) / numbers.length
    expect(mean).toBeCloseTo(0.5, 1)
    expect(variance).toBeCloseTo(1 / 12, 2)
    expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...numbers)).toBeLessThan(1)
  })

  it('fills with normal numbers of mean zero and spread one, odd lengths too', () => {
    const numbers = fillNormal(new Float64Array(20001), seededRandom(2))
    const mean = numbers.reduce((sum, x) => sum + x, 0) / numbers.length
    const variance = numbers.reduce((sum, x) => sum + x * x, 0) / numbers.length
    expect(Math.abs(mean)).toBeLessThan(0.03)
    expect(Math.abs(variance - 1)).toBeLessThan(0.04)
    expect(Number.isFinite(numbers[20000]!)).toBe(true)
  })
})

describe('the normal share', () => {
  it('agrees with tabulated values', () => {
    expect(normalCdf(0)).toBeCloseTo(0.5, 6)
    expect(normalCdf(1.2816)).toBeCloseTo(0.9, 4)
    expect(normalCdf(-1.96)).toBeCloseTo(0.025, 4)
  })
})

describe('weighted quantiles', () => {
  it('agree with a plain repetition of values for whole weights', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 0, max: 4 })), {
          minLength: 3,
          maxLength: 30,
        }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (pairs, share) => {
          const total = pairs.reduce((sum, [, weight]) => sum + weight, 0)
          fc.pre(total > 0)
          const [value] = weightedQuantile(
            pairs.map(([v]) => v),
            pairs.map(([, weight]) => weight),
            [share],
          )
          const repeated = pairs.flatMap(([v, weight]) => Array.from({ length: weight }, () => v)).sort((p, q) => p - q)
          const below = repeated.filter(v => v < value! - 1e-9).length
          const above = repeated.filter(v => v > value! + 1e-9).length
          expect(below / total).toBeLessThanOrEqual(share + (0.5 / total) * 5)
          expect(above / total).toBeLessThanOrEqual(1 - share + (0.5 / total) * 5)
        },
      ),
    )
  })

  it('stand in the middle for equal weights and are nothing without weight', () => {
    expect(weightedQuantile([3, 1, 2], [1, 1, 1], [0.5])).toEqual([2])
    expect(weightedQuantile([1, 2], [0, 0], [0.5])).toEqual([Number.NaN])
  })

  it('sort what never happened last', () => {
    expect(weightedQuantile([Number.POSITIVE_INFINITY, 5, 6], [1, 1, 1], [0.9])).toEqual([Number.POSITIVE_INFINITY])
  })
})

describe('indices drawn at even steps', () => {
  it('are as many of each as its weight says, in rising order', () => {
    expect(drawnEvenly([0.5, 0.5], 4)).toEqual([0, 0, 1, 1])
    expect(drawnEvenly([0.1, 0, 0.6, 0.3], 10)).toEqual([0, 2, 2, 2, 2, 2, 2, 3, 3, 3])
    // A step that falls upon the end of a weight belongs to it.
    expect(drawnEvenly([0.5, 0.5], 1)).toEqual([0])
  })

  it('stay within the list, also where its weights fall short of one', () => {
    expect(drawnEvenly([0.3, 0.3], 5)).toEqual([0, 0, 1, 1, 1])
  })
})
