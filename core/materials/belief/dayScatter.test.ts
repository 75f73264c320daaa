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

  it('is the middle of its posterior, summed over four hundred factors in the place of twenty-five', () => {
    const readings = [0.1, -0.06, 0.03, -0.12].map(off => ({ off, variance: 0.04 ** 2 }))
    const free = (readings.length - 1) / readings.length
    const density = (x: number, variance: number): number =>
      Math.exp((-x * x) / (2 * variance)) / Math.sqrt(2 * Math.PI * variance)
    let [total, sum] = [0, 0]
    for (let i = 0; i <= 400; i++) {
      const log = -1.2 + (2.4 * i) / 400
      const day = (Math.exp(log) * usual) ** 2
      const weight = readings.reduce(
        (product, { off, variance }) => product * density(off / Math.sqrt(free), variance + day) ** free,
        density(log, 0.45 ** 2),
      )
      total += weight
      sum += weight * log
    }
    expect(dayScatter('mainFire', readings) / (usual * Math.exp(sum / total))).toBeCloseTo(1, 2)
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
