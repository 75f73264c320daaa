import { describe, expect, it } from 'vitest'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import { dayScatter } from './dayScatter'
import { daySpread } from './steadiness'

const usual = daySpread('mainFire')
/** Readings of a household whose fire scatters by so much, each with its own noise. */
function readingsOf(scatter: number, count: number, seed: number) {
  const normals = fillNormal(new Float64Array(2 * count), seededRandom(seed))
  return Array.from({ length: count }, (_, i) => ({
    off: scatter * normals[2 * i]! + 0.05 * normals[2 * i + 1]!,
    variance: 0.05 ** 2,
  }))
}
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length
const learned = (scatter: number, count: number): number =>
  mean(Array.from({ length: 40 }, (_, seed) => dayScatter('mainFire', readingsOf(scatter, count, seed + 1))))

describe('the scatter from day to day', () => {
  it('is the usual one until three readings say otherwise', () => {
    expect(dayScatter('mainFire', readingsOf(0.5, 2, 3))).toBe(usual)
    expect(dayScatter('mainFire', readingsOf(0.5, 3, 3))).not.toBe(usual)
  })

  it('comes nearer to the household\'s own with more readings, from both sides', () => {
    const [steadyFew, steadyMany] = [learned(0.05, 4), learned(0.05, 25)]
    expect(steadyMany).toBeLessThan(steadyFew)
    expect(steadyFew).toBeLessThan(usual)
    expect(steadyMany).toBeGreaterThan(0.03)
    const [restlessFew, restlessMany] = [learned(0.25, 4), learned(0.25, 25)]
    expect(restlessMany).toBeGreaterThan(restlessFew)
    expect(restlessFew).toBeGreaterThan(usual)
    expect(Math.abs(Math.log(restlessMany / 0.25))).toBeLessThan(0.25)
  })

  it('takes readings too noisy to tell for nothing', () => {
    const noisy = readingsOf(0.3, 8, 5).map(one => ({ ...one, variance: 4 }))
    expect(Math.abs(Math.log(dayScatter('mainFire', noisy) / usual))).toBeLessThan(0.12)
  })

  it('is not thrown by one odd day', () => {
    const steady = readingsOf(0.1, 9, 7)
    expect(dayScatter('mainFire', [...steady, { off: 3, variance: 0.0025 }])).toBeLessThan(
      1.35 * dayScatter('mainFire', steady),
    )
  })
})
