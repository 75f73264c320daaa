import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../maths/random/seededRandom'
import { inCelsius, inGrams } from './units'
import type { Expected, RawReading, ReadingUnit } from './reading'
import { settleColour, stepOfColour } from './settleColour'
import { settleTemperature } from './settleTemperature'
import { settleWeight } from './settleWeight'

const expected: Expected = { tareG: 1300, contentG: { early: 900, late: 1100 }, tempC: { early: 90, late: 101 } }
/** A scale read four times a second: stretches of a weight, in order. */
function scale(
  stretches: readonly (readonly [value: number, seconds: number])[],
  unit?: ReadingUnit,
  noise = 1,
): RawReading[] {
  const uniform = seededRandom(4)
  const readings: RawReading[] = []
  for (const [value, seconds] of stretches) {
    for (let k = 0; k < seconds * 4; k++)
      readings.push({
        atMs: readings.length * 250,
        value: value + noise * (uniform() - 0.5),
        ...(unit ? { unit } : {}),
      })
  }
  return readings
}
const gross = (readings: readonly RawReading[]) => {
  const settled = settleWeight(readings, expected)
  return settled?.kind === 'weight' ? [settled.how, Math.round(settled.grossG)] : settled?.kind ?? null
}

describe('a scale', () => {
  it('is read once the pan stands still on it, in any unit', () => {
    expect(gross(scale([[0, 2], [2310, 3]], 'g'))).toEqual(['as-read', 2310])
    expect(gross(scale([[0, 2], [2.31, 3]], 'kg', 0.001))).toEqual(['as-read', 2310])
    expect(gross(scale([[0, 2], [81.48, 3]], 'oz', 0.02))).toEqual(['as-read', 2310])
    expect(gross(scale([[0, 2], [2310, 0.8]], 'g'))).toBeNull()
    expect(gross(scale([[2310, 3], [0, 3]], 'g'))).toBeNull()
  })

  it('is read as ounces where it did not say and only ounces make sense', () => {
    expect(gross(scale([[0, 2], [81.48, 3]], undefined, 0.02))).toEqual(['ounces', 2310])
  })

  it('has what lay on it before taken off, and the pan added where it was tared with it', () => {
    expect(gross(scale([[46, 3], [2356, 3]], 'g'))).toEqual(['offset-taken-off', 2310])
    expect(gross(scale([[0, 2], [1010, 3]], 'g'))).toEqual(['pan-was-tared', 2310])
    const light: Expected = { ...expected, contentG: { early: 300, late: 380 } }
    expect(
      settleWeight(
        scale(
          [
            [-1300, 2],
            [0, 1],
            [340, 3],
          ],
          'g',
        ),
        light,
      ),
    ).toMatchObject({ how: 'pan-was-tared', grossG: expect.closeTo(1640, 0) as number })
  })

  it('is left to a person where it fits nothing', () => {
    expect(gross(scale([[0, 2], [6200, 3]], 'g'))).toBe('unsure')
  })

  it('is never read wrongly by a lost reading, and never breaks', () => {
    const lossy = scale([[0, 2], [2310, 4]], 'g').map((one, i) => (i % 3 === 0 ? { ...one, value: null } : one))
    expect(gross(lossy)).toEqual(['as-read', 2310])
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ atMs: fc.integer({ min: 0, max: 1e6 }), value: fc.oneof(fc.double(), fc.constant(null)) }),
          { maxLength: 40 },
        ),
        readings => {
          const settled = settleWeight(
            [...readings].sort((p, q) => p.atMs - q.atMs),
            expected,
          )
          expect(
            settled === null
              || Number.isFinite(
                settled.kind === 'weight' ? settled.grossG : settled.kind === 'unsure' ? settled.readG : Number.NaN,
              ),
          ).toBe(true)
        },
      ),
    )
  })

  it('reads what it was given for any weight of the expected span', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 900, max: 1100, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (content, offset) => {
          const settled = settleWeight(
            scale(
              [
                [offset, 3],
                [1300 + content + offset, 3],
              ],
              'g',
            ),
            expected,
          )
          expect(settled?.kind).toBe('weight')
          const off = Math.abs((settled as { grossG: number }).grossG - 1300 - content)
          expect(off).toBeLessThan(Math.abs(offset) > 4 ? 3 : 6)
        },
      ),
    )
  })
})

describe('a probe', () => {
  const probe = (values: readonly (number | null)[], unit?: ReadingUnit): RawReading[] =>
    values.map((value, i) => ({ atMs: i * 1000, value, ...(unit ? { unit } : {}) }))

  it('is read as the middle of some seconds, in any unit, lost readings passed over', () => {
    expect(settleTemperature(probe([98, 99, null, 98.5, 98.7, 98.2]))).toMatchObject({ tempC: 98.5 })
    expect(settleTemperature(probe([208, 209, 208.5, 208.7, 208.2], 'F'))).toMatchObject({
      tempC: expect.closeTo(98, 0) as number,
    })
  })

  it('says nothing while it moves, when it was lifted out, or where no pan is so hot', () => {
    expect(settleTemperature(probe([60, 68, 77, 85, 93]))).toBeNull()
    expect(settleTemperature(probe([98, 98, 98, 98, 60]))).toBeNull()
    expect(settleTemperature(probe([98, 900, 98, -40, 98]))).toBeNull()
    expect(settleTemperature([])).toBeNull()
  })
})

describe('a camera', () => {
  const lab = (lightness: number) => ({ lightness, a: 8, b: 30 })

  it('gives a colour once three pictures agree, and a rank of it', () => {
    const pictures = [70, 71, 69].map((lightness, i): RawReading => ({ atMs: i * 1000, value: lab(lightness) }))
    expect(settleColour(pictures)).toMatchObject({ kind: 'colour', lab: { lightness: 70 } })
    expect(settleColour([...pictures, { atMs: 4000, value: lab(40) }])).toBeNull()
    expect(settleColour(pictures.slice(0, 2))).toBeNull()
    const steps = { stepLightness: { 'pale': 78, 'golden': 72, 'deep-golden': 64, 'brown': 50, 'burnt': 35 } }
    expect(stepOfColour(lab(70), steps)).toBe('golden')
    expect(stepOfColour(lab(90), steps)).toBeNull()
    expect(stepOfColour(lab(20), steps)).toBe('burnt')
  })
})

describe('units', () => {
  it('are those of handbooks, and nothing else', () => {
    expect(inGrams(1, 'lb')).toBeCloseTo(453.592, 3)
    expect(inGrams(1, 'C')).toBeNaN()
    expect(inCelsius(373.15, 'K')).toBeCloseTo(100, 6)
    expect(inCelsius(1, 'g')).toBeNaN()
  })
})
