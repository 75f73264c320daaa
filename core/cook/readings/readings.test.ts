import fc from 'fast-check'
import { constant } from '../../materials/constants/constants'
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

describe('the edges of what settles', () => {
  const row = (values: readonly (number | null)[], everyMs: number): RawReading[] => values.map((value, i) => ({ atMs: i * everyMs, value }))
  /** Nothing, then a weight for so long, read four times a second. */
  const standing = (grams: number, forMs: number, before = 0): RawReading[] => [
    ...row(Array.from({ length: 12 }, () => before), 250),
    ...row(Array.from({ length: forMs / 250 + 1 }, () => grams), 250).map(one => ({ ...one, atMs: one.atMs + 3000 })),
  ]

  it('a scale stands for as long as the constant says, at whole tenths of a gram', () => {
    const held = 1000 * constant('plateauS')
    expect(settleWeight(standing(2310.04, held), expected)).toEqual({ kind: 'weight', atMs: 3000 + held, grossG: 2310, how: 'as-read' })
    expect(settleWeight(standing(2310, held - 250), expected)).toBeNull()
  })

  it('its readings lie within 3 g of one another, or 0.4 % of a heavy one', () => {
    const swaying = (by: number, of: Expected) =>
      settleWeight([...standing(of.tareG + 1000, 2000), { atMs: 5250, value: of.tareG + 1000 + by }], of)
    expect(swaying(9.2, expected)).toMatchObject({ kind: 'weight', atMs: 5250 })
    expect(swaying(9.4, expected)).toBeNull()
    expect(settleWeight([...standing(400, 2000), { atMs: 5250, value: 403 }], { ...expected, tareG: 100, contentG: { early: 300, late: 310 } }))
      .toMatchObject({ kind: 'weight', atMs: 5250 })
    expect(settleWeight([...standing(400, 2000), { atMs: 5250, value: 403.1 }], { ...expected, tareG: 100, contentG: { early: 300, late: 310 } }))
      .toBeNull()
  })

  it('a weight fits within a fifth and 40 g of what is expected', () => {
    const how = (content: number) => {
      const read = settleWeight(standing(1300 + content, 2000), expected)
      return read?.kind === 'weight' ? read.how : read?.kind
    }
    expect([0.8 * 900 - 40, 0.8 * 900 - 39, 1.2 * 1100 + 39, 1.2 * 1100 + 40].map(how)).toEqual(['unsure', 'as-read', 'as-read', 'unsure'])
    expect(settleWeight(standing(6200.6, 2000), expected)).toEqual({ kind: 'unsure', atMs: 5000, readG: 6201 })
  })

  it('what lay on the scale is taken off from more than 3 g on, below three tenths of the pan', () => {
    const how = (before: number) => {
      const read = settleWeight(standing(2310 + before, 2000, before), expected)
      return read?.kind === 'weight' ? [read.how, read.grossG] : read?.kind
    }
    expect([3, 4, 389].map(how)).toEqual([['as-read', 2313], ['offset-taken-off', 2310], ['offset-taken-off', 2310]])
    // Three tenths of the pan and more is no empty scale.
    expect(how(391)).toBe('unsure')
  })

  it('a content alone is taken for that where the pan was tared, but not a trace of it', () => {
    const light: Expected = { ...expected, contentG: { early: 20, late: 30 } }
    const net = (grams: number) => settleWeight(standing(grams, 2000, 700), light)
    expect(net(25)).toEqual({ kind: 'weight', atMs: 5000, grossG: 1325, how: 'pan-was-tared' })
    expect([net(6), net(6.1)?.kind]).toEqual([null, 'weight'])
    expect(net(80)).toBeNull()
  })

  const probe = (values: readonly number[], everyMs = 1000) => settleTemperature(row(values, everyMs))
  it('a probe is read from four that agree within 4 K, seven tenths of them, over eight seconds', () => {
    expect(probe([98, 98, 98])).toBeNull()
    expect(probe([98, 98, 98, 98])).toEqual({ kind: 'temperature', atMs: 3000, tempC: 98 })
    expect(probe([94, 98, 98, 98])).toMatchObject({ tempC: 98 })
    expect(probe([93.9, 98, 98, 98])).toBeNull()
    expect(probe([98, 98, 98, 102])).toMatchObject({ tempC: 98 })
    expect(probe([98, 98, 98, 98, 102.1])).toBeNull()
    // Seven of ten agree, six of nine do not; the newest among them.
    expect(probe([60, 60, 60, 98, 98, 98, 98, 98, 98, 98], 800)).toMatchObject({ tempC: 98 })
    expect(probe([60, 60, 60, 98, 98, 98, 98, 98, 98], 800)).toBeNull()
    // What is older than eight seconds is not looked at.
    const late = (byMs: number) => settleTemperature([...row([60, 60, 60], 0), ...row([98, 98, 98, 98, 98], 2000).map(one => ({ ...one, atMs: one.atMs + byMs }))])
    expect([late(0), late(1)?.atMs]).toEqual([null, 8001])
    expect(probe([98.04, 98.04, 98.16, 98.16])).toMatchObject({ tempC: 98.2 })
  })

  it('a probe is no colder than -5 °C and no hotter than 320 °C', () => {
    const alone = (tempC: number) => probe([tempC, tempC, tempC, tempC])
    expect([-5, -4.9, 319.9, 320].map(tempC => alone(tempC) === null)).toEqual([true, false, false, true])
  })

  it('a camera agrees within L* 4, over three, between black and white', () => {
    const seen = (...lightness: number[]) => settleColour(lightness.map((one, i) => ({ atMs: i * 1000, value: { lightness: one, a: 8, b: 30 } })))
    expect(seen(70, 74, 72)).toMatchObject({ atMs: 2000, lab: { lightness: 72 } })
    expect(seen(70, 74.1, 72)).toBeNull()
    expect(seen(50, 70, 74, 72)).toMatchObject({ lab: { lightness: 72 } })
    expect([seen(2, 2, 2), seen(99, 99, 99)]).toEqual([null, null])
    expect([seen(2.1, 2.1, 2.1), seen(98.9, 98.9, 98.9)]).toMatchObject([{ lab: { lightness: 2.1 } }, { lab: { lightness: 98.9 } }])
    const steps = { stepLightness: { 'pale': 78, 'golden': 72, 'deep-golden': 64, 'brown': 50, 'burnt': 35 } }
    expect([78.1, 78, 72, 64, 50, 35].map(lightness => stepOfColour({ lightness, a: 0, b: 0 }, steps)))
      .toEqual([null, 'pale', 'golden', 'deep-golden', 'brown', 'burnt'])
  })

  it('units are those of their definitions', () => {
    expect([inGrams(2, 'oz'), inGrams(2, 'kg'), inGrams(2)]).toEqual([56.69904625, 2000, 2])
    expect([inCelsius(212, 'F'), inCelsius(32, 'F'), inCelsius(21)]).toEqual([100, 0, 21])
  })
})
