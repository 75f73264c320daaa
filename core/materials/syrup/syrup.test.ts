import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CoreError } from '../../error'
import { airPressurePa } from '../water/airPressurePa'
import { graining, saturatedShare } from './graining'
import { setsTo } from './setsTo'
import { SETS } from './syrup'
import { syrupAtShare } from './syrupAtShare'
import { syrupAtTemp } from './syrupAtTemp'
import { shareByWeight, weightAtShare } from './syrupByWeight'

const SEA = 101325

describe('a syrup of a strength', () => {
  // Handbook boiling points of sucrose solutions at sea level (recalled, unchecked).
  it.each([
    [0.5, 102],
    [0.6, 103],
    [0.7, 106.5],
    [0.8, 112],
  ])('of %d sugar boils within 0.7 K of %d °C', (share, tempC) => {
    expect(Math.abs(syrupAtShare(share, 0, SEA).boilsAtC - tempC)).toBeLessThan(0.7)
  })

  it('boils lower on a hill, and higher with invert sugar', () => {
    expect(syrupAtShare(0.7, 0, airPressurePa(1500)).boilsAtC).toBeLessThan(syrupAtShare(0.7, 0, SEA).boilsAtC - 4)
    expect(syrupAtShare(0.8, 0.2, SEA).boilsAtC).toBeGreaterThan(syrupAtShare(0.8, 0, SEA).boilsAtC)
  })

  it('is refused beyond where it was held against anything', () => {
    expect(() => syrupAtShare(0.95, 0, SEA)).toThrow(CoreError)
    expect(() => syrupAtShare(0.05, 0, SEA)).toThrow(CoreError)
    expect(() => syrupAtTemp(150, 0, SEA)).toThrow(CoreError)
    expect(() => syrupAtTemp(Number.NaN, 0, SEA)).toThrow(CoreError)
  })
})

describe('its strength', () => {
  it('by temperature is the one that boils there, at any height and of any sugar', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.11, max: 0.915, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 3500, noNaN: true }),
        (share, invert, altitudeM) => {
          const air = airPressurePa(altitudeM)
          expect(syrupAtTemp(syrupAtShare(share, invert, air).boilsAtC, invert, air).share).toBeCloseTo(share, 4)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('by weight is its sugar over all of it', () => {
    expect(shareByWeight(400, 500)).toBeCloseTo(0.8, 12)
    expect(weightAtShare(400, 0.8)).toBeCloseTo(500, 12)
    expect(() => shareByWeight(400, 401)).toThrow(CoreError)
  })
})

describe('what it sets to', () => {
  it('grows firmer with strength, through every stage', () => {
    const stages = Array.from({ length: 60 }, (_, i) => setsTo(0.4 + i * 0.009))
    expect([...new Set(stages)]).toEqual([...SETS])
  })
})

describe('sugar returning to grain', () => {
  it('follows the solubility of handbooks', () => {
    expect(saturatedShare(0)).toBeCloseTo(0.6445, 4)
    expect(saturatedShare(20)).toBeCloseTo(0.667, 2)
    expect(saturatedShare(25)).toBeCloseTo(0.675, 2)
    expect(saturatedShare(100)).toBeCloseTo(0.83, 2)
    // Beyond what was measured it stays where that ends.
    expect([saturatedShare(-3), saturatedShare(108)]).toEqual([saturatedShare(0), saturatedShare(100)])
  })

  it('is a risk for a strong syrup that cools, and slower with invert sugar', () => {
    expect(graining(0.6, 0, 30)).toMatchObject({ risk: 'none', prevents: [] })
    expect(graining(0.8, 0, 30).risk).toBe('likely')
    expect(graining(0.8, 0.15, 30)).toMatchObject({
      risk: 'slow',
      prevents: ['wash-wall', 'no-stirring', 'invert-holds'],
    })
    expect(graining(0.8, 0, 100).supersaturation).toBeLessThan(1)
  })

  it('begins above saturation, comes by itself from a quarter above it, and is held by an eighth of invert sugar', () => {
    const saturated = saturatedShare(30) / (1 - saturatedShare(30))
    const strong = (times: number): number => times * saturated / (1 + times * saturated)
    const risk = (times: number, invert = 0) => graining(strong(times) , invert, 30).risk
    expect([0.999, 1.001, 1.249, 1.251].map(times => risk(times))).toEqual(['none', 'slow', 'slow', 'likely'])
    expect(graining(strong(1.1), 0, 30)).toMatchObject({ prevents: ['wash-wall', 'no-stirring', 'acid'] })
    expect([0.119, 0.12].map(invert => risk(2, invert))).toEqual(['likely', 'slow'])
    // Invert sugar is no sucrose: a quarter of it leaves three quarters to return to grain.
    expect(graining(0.8, 0.25, 30).supersaturation).toBeCloseTo(0.6 / 0.2 / saturated, 9)
    expect([saturatedShare(-5), saturatedShare(120)]).toEqual([saturatedShare(0), saturatedShare(100)])
  })
})
