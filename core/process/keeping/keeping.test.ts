import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CoreError } from '../../error'
import { activityRange } from './activityRange'
import { keepingOf, type KeepingFacts } from './keepingOf'

const SUCROSE = 342.3
const facts: KeepingFacts = {
  activity: { low: 0.4, high: 0.5 },
  milk: false,
  produce: false,
  coconut: false,
  hands: false,
  roomC: 24,
}

describe('water activity of a finished sweet', () => {
  it.each([
    [1, 0.981],
    [2, 0.958],
    [3, 0.933],
    [4, 0.906],
    [5, 0.878],
    [6, 0.849],
  ])('is that of sucrose in water at %i mol/kg within 0.02 (Robinson and Stokes)', (molality, activity) => {
    const { low, high } = activityRange({ waterG: 1000, sugarG: molality * SUCROSE, solidsG: 0, fatG: 0, nutsG: 0 }, 0)
    expect(Math.abs((low + high) / 2 - activity)).toBeLessThan(0.02)
  })

  it('is that of a saturated solution at its cautious end, however much sugar lies in grain beside it', () => {
    const of = (sugarG: number): number =>
      activityRange({ waterG: 100, sugarG, solidsG: 0, fatG: 0, nutsG: 0 }, 0).high - 0.03
    expect(Math.abs(of(208) - 0.85)).toBeLessThan(0.02)
    expect(Math.abs(of(900) - 0.85)).toBeLessThan(0.02)
    expect(activityRange({ waterG: 100, sugarG: 900, solidsG: 0, fatG: 0, nutsG: 0 }, 0).low).toBeLessThan(0.6)
  })

  it('falls with sugar and rises with water, and stays between nothing and one', () => {
    const grams = fc.double({ min: 0, max: 2000, noNaN: true })
    fc.assert(
      fc.property(
        grams,
        grams,
        grams,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (waterG, sugarG, solidsG, invert) => {
          const of = (water: number, sugar: number): { low: number, high: number } =>
            activityRange({ waterG: water, sugarG: sugar, solidsG, fatG: 100, nutsG: 0 }, invert)
          const { low, high } = of(waterG, sugarG)
          expect(low).toBeGreaterThanOrEqual(0)
          expect(high).toBeLessThanOrEqual(1)
          expect(low).toBeLessThanOrEqual(high + 1e-9)
          expect(of(waterG + 100, sugarG).high).toBeGreaterThanOrEqual(high - 1e-6)
          expect(of(waterG, sugarG + 100).low).toBeLessThanOrEqual(low + 1e-6)
        },
      ),
    )
  })
})

describe('how long a sweet keeps', () => {
  it('is a cautious range with its reasons', () => {
    const dry = keepingOf(facts)
    expect(dry.reasons).toEqual(['dry'])
    expect(dry.days.room[0]).toBeGreaterThan(3)
    expect(dry.standsH).toBeNull()
    const wet = keepingOf({ ...facts, activity: { low: 0.92, high: 0.97 }, milk: true })
    expect(wet).toMatchObject({ standsH: 2, days: { room: [0, 0] }, reasons: ['wet', 'milk'] })
    expect(wet.days.cold[1]).toBeLessThanOrEqual(3)
  })

  it('never grows with more that spoils, a wetter mass or a warmer room', () => {
    const flag = fc.boolean()
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 0.1, noNaN: true }),
        flag,
        flag,
        flag,
        flag,
        fc.double({ min: 10, max: 45, noNaN: true }),
        (high, more, milk, produce, coconut, hands, roomC) => {
          const plain: KeepingFacts = { ...facts, activity: { low: 0, high }, roomC }
          const worse: KeepingFacts = {
            activity: { low: 0, high: high + more },
            milk,
            produce,
            coconut,
            hands,
            roomC: roomC + 3,
          }
          const [one, other] = [keepingOf(plain), keepingOf(worse)]
          for (const place of ['room', 'cold'] as const) {
            for (const end of [0, 1] as const) expect(other.days[place][end]).toBeLessThanOrEqual(one.days[place][end])
            expect(one.days[place][0]).toBeLessThanOrEqual(one.days[place][1])
          }
          expect(other.days.cold[0]).toBeGreaterThanOrEqual(1)
        },
      ),
    )
  })

  it('refuses what is no room and no activity', () => {
    expect(() => keepingOf({ ...facts, roomC: Number.NaN })).toThrow(CoreError)
    expect(() => keepingOf({ ...facts, activity: { low: 0, high: 2 } })).toThrow(CoreError)
  })
})
