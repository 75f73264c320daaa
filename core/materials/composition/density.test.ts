import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rowOf } from '../../../test/support/plans'
import { densityOf } from './densityOf'

const row = rowOf('semolina-medium')
const NOW = 1_795_000_000_000
const glass = (gPerMl: number, at = NOW) => ({ at, volumeMl: 180, massG: 180 * gPerMl })

describe('the density of a food in this house', () => {
  it('is the table\'s where nothing was weighed', () => {
    expect(densityOf(row, undefined)).toMatchObject({ middle: row.bulkDensity, weighings: 0 })
    expect(densityOf(row, { weighings: [] }).middle).toBe(row.bulkDensity)
  })

  it('follows the first weighing nearly all the way, and more of them all the way', () => {
    const own = 1.2 * row.bulkDensity
    const far = (count: number): number =>
      Math.log(own / densityOf(row, { weighings: Array.from({ length: count }, () => glass(own)) }).middle)
    expect(far(1)).toBeLessThan(0.15 * Math.log(1.2))
    expect(far(5)).toBeLessThan(far(1))
    expect(far(5)).toBeGreaterThan(0)
  })

  it('is surer with each weighing, less sure of a spoon than of a glass, and lies between table and scale', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.7, max: 1.4, noNaN: true }), fc.integer({ min: 1, max: 12 }), (factor, count) => {
        const weighings = Array.from({ length: count }, () => glass(factor * row.bulkDensity))
        const [fewer, more] = [
          densityOf(row, { weighings }),
          densityOf(row, { weighings: [...weighings, glass(factor * row.bulkDensity)] }),
        ]
        expect(more.spread).toBeLessThanOrEqual(fewer.spread + 1e-3)
        expect(more.spread).toBeLessThan(densityOf(row, undefined).spread)
        const [least, most] = [Math.min(1, factor) * row.bulkDensity, Math.max(1, factor) * row.bulkDensity]
        expect(more.middle).toBeGreaterThanOrEqual(least - 1e-9)
        expect(more.middle).toBeLessThanOrEqual(most + 1e-9)
      }),
    )
    const spoon = { at: NOW, volumeMl: 15, massG: 15 * row.bulkDensity }
    expect(densityOf(row, { weighings: [spoon] }).spread).toBeGreaterThan(
      densityOf(row, { weighings: [glass(row.bulkDensity)] }).spread,
    )
  })

  it('does not follow one odd weighing among steady ones', () => {
    const steady = [0.71, 0.72, 0.7, 0.715].map(one => glass(one))
    const odd = densityOf(row, { weighings: [...steady, glass(1.1)] })
    expect(Math.abs(odd.middle / densityOf(row, { weighings: steady }).middle - 1)).toBeLessThan(0.03)
  })

  it('takes what was weighed once before weighings were kept for one of them, and lets old ones count less', () => {
    expect(densityOf(row, { bulkDensity: 0.73 })).toMatchObject({ weighings: 1 })
    const old = [glass(0.6, NOW - 3 * 365 * 86_400_000), glass(0.75)]
    expect(densityOf(row, { weighings: old }, NOW).middle).toBeGreaterThan(densityOf(row, { weighings: old }).middle)
  })
})
