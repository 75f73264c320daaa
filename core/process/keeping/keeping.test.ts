import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { CoreError } from '../../error'
import { activityRange } from './activityRange'
import { examplePlan, starterPlan } from '../../../test/support/plans'
import type { Kind } from '../../materials/composition/ingredient'
import { keepingOf, mostStandingH, type KeepingFacts } from './keepingOf'
import { keptCold } from './keptCold'
import { sweetKeeping } from './sweetKeeping'
import { wentIn } from './wentIn'

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

/** Days by water activity as the two-hour rule and the bounds of 0.60, 0.85 and 0.91 set them (see `keepingOf`). */
const BY_ACTIVITY: readonly [
  high: number,
  room: readonly number[],
  cold: readonly number[],
  standsH: number | null,
  reason: string,
][] = [
  [0, [7, 14], [14, 28], null, 'dry'],
  [0.599, [7, 14], [14, 28], null, 'dry'],
  [0.6, [4, 8], [10, 21], null, 'sugar-holds'],
  [0.749, [4, 8], [10, 21], null, 'sugar-holds'],
  [0.75, [1, 3], [5, 10], null, 'sugar-holds'],
  [0.85, [0, 1], [4, 7], null, 'moist'],
  [0.909, [0, 1], [4, 7], null, 'moist'],
  [0.91, [0, 0], [3, 5], 2, 'wet'],
  [1, [0, 0], [3, 5], 2, 'wet'],
]

describe('the days of a sweet', () => {
  const at = (high: number, more: Partial<KeepingFacts> = {}) =>
    keepingOf({ ...facts, ...more, activity: { low: 0, high } })
  const [milk, produce, coconut, hands] = (['milk', 'produce', 'coconut', 'hands'] as const).map(of => ({ [of]: true }))

  it.each(BY_ACTIVITY)('at a water activity of %f', (high, room, cold, standsH, reason) => {
    expect(at(high)).toEqual({ days: { room, cold }, standsH, reasons: [reason] })
  })

  it('are fewer by what spoils first, whole days, and the worst of it counts alone', () => {
    expect(at(0.5, milk)).toEqual({ days: { room: [4, 9], cold: [9, 19] }, standsH: null, reasons: ['dry', 'milk'] })
    expect(at(0.5, produce)).toEqual({
      days: { room: [5, 10], cold: [10, 21] },
      standsH: null,
      reasons: ['dry', 'produce'],
    })
    expect(at(0.5, coconut)).toEqual({
      days: { room: [4, 9], cold: [9, 19] },
      standsH: null,
      reasons: ['dry', 'coconut'],
    })
    expect(at(0.5, hands)).toEqual({
      days: { room: [5, 11], cold: [11, 22] },
      standsH: null,
      reasons: ['dry', 'hands'],
    })
    expect(at(0.5, { ...hands, ...produce, ...milk })).toEqual(
      { days: { room: [4, 9], cold: [9, 19] }, standsH: null, reasons: ['dry', 'milk', 'produce', 'hands'] })
  })

  it('are none in the room for milk, produce and coconut, each alone, from 0.75 on; hands alone bring none of that', () => {
    for (const perishes of [milk, produce, coconut]) {
      expect(at(0.75, perishes)).toMatchObject({ days: { room: [0, 0] }, standsH: 2 })
      expect(at(0.749, perishes)).toMatchObject({ standsH: null })
      expect(at(0.749, perishes).days.room[0]).toBeGreaterThan(0)
    }
    expect(at(0.75, hands)).toMatchObject({ days: { room: [0, 2], cold: [4, 8] }, standsH: null })
    expect(at(0.95, milk).days.cold).toEqual([2, 3])
  })

  it('are halved in a room above 28 °C, and only where there were any', () => {
    expect(at(0.5, { roomC: 28 }).days).toEqual({ room: [7, 14], cold: [14, 28] })
    expect(at(0.5, { roomC: 28.1 })).toEqual({
      days: { room: [3, 7], cold: [14, 28] },
      standsH: null,
      reasons: ['dry', 'warm-room'],
    })
    expect(at(0.95, { roomC: 40 }).reasons).toEqual(['wet'])
    expect(at(0.8, { ...milk, roomC: 40 }).reasons).toEqual(['sugar-holds', 'milk'])
    // Half of one day in the room is none: then it stands by hours.
    expect(at(0.86, { roomC: 30 })).toMatchObject({
      days: { room: [0, 0] },
      standsH: 2,
      reasons: ['moist', 'warm-room'],
    })
  })

  it('begin after two hours outside the cold at most, one where it is hotter than 32 °C', () => {
    expect([20, 32, 32.1, 45].map(mostStandingH)).toEqual([2, 2, 1, 1])
    expect(at(0.95, { roomC: 33 }).standsH).toBe(1)
  })

  it('are told for any room between −20 and 55 °C', () => {
    for (const roomC of [-20, 55]) expect(at(0.5, { roomC }).reasons[0]).toBe('dry')
    for (const roomC of [-20.1, 55.1]) expect(() => at(0.5, { roomC })).toThrow(CoreError)
    expect(() => at(-0.01)).toThrow(CoreError)
  })
})

describe('the range of an activity', () => {
  const dry = { waterG: 0, sugarG: 100, solidsG: 100, fatG: 0, nutsG: 0 }

  it('is that of what draws from the room where there is no water', () => {
    expect(activityRange(dry, 0)).toEqual({ low: 0, high: activityRange({ ...dry, waterG: 1e-7 }, 0).high })
    expect(activityRange({ ...dry, sugarG: 0, waterG: 1 }, 0).high).toBe(activityRange(dry, 0).high)
  })

  it('is six hundredths wide where all sugar dissolves, and as wide as what may have grained beyond', () => {
    const width = (sugarG: number): number => {
      const { low, high } = activityRange({ waterG: 100, sugarG, solidsG: 0, fatG: 0, nutsG: 0 }, 0)
      return high - low
    }
    expect(width(100)).toBeCloseTo(0.06, 9)
    expect(width(400)).toBeGreaterThan(0.15)
    // Invert sugar does not return to grain: it dissolves whatever there is of it.
    const invert = activityRange({ waterG: 100, sugarG: 400, solidsG: 0, fatG: 0, nutsG: 0 }, 1)
    expect(invert.high - invert.low).toBeCloseTo(0.06, 9)
  })

  it('is lowered by dry solids up to twice their weight of water', () => {
    const high = (solidsG: number): number =>
      activityRange({ waterG: 200, sugarG: 100, solidsG, fatG: 0, nutsG: 0 }, 0).high
    expect(high(100)).toBe(high(0))
    expect(high(400)).toBeLessThan(high(0) - 0.01)
  })
})

describe('how a finished sweet keeps', () => {
  const plan = examplePlan()
  const { contents, invertShare } = wentIn(plan.amounts, 150)
  const ofKind = (kind: Kind | undefined) =>
    sweetKeeping(plan, { ...contents, waterG: 400, sugarG: 100 }, invertShare, false, id =>
      id === plan.amounts[0]!.ingredient ? kind : undefined,
    ).keeping.reasons

  it('counts everything that went in, and the water that is left', () => {
    const grams = (part: 'solids' | 'fat' | 'sugar' | 'nuts'): number =>
      plan.amounts.reduce((sum, one) => sum + one.massG * one.composition[part], 0)
    expect(contents).toEqual({
      waterG: 150,
      solidsG: grams('solids'),
      fatG: grams('fat'),
      sugarG: grams('sugar'),
      nutsG: grams('nuts'),
    })
    expect(invertShare).toBeCloseTo(
      plan.amounts.reduce((sum, one) => sum + one.massG * (one.composition.invert ?? 0), 0) / grams('sugar'),
      9,
    )
    expect(wentIn([], 10)).toEqual({
      contents: { waterG: 10, solidsG: 0, fatG: 0, sugarG: 0, nutsG: 0 },
      invertShare: 0,
    })
  })

  it('perishes by the kinds of what is in it, and by the family it is made of', () => {
    const extra = (kind: Kind | undefined): readonly string[] => ofKind(kind).slice(1)
    expect((['milk', 'milk-solids', 'condensed'] as const).map(extra)).toEqual([['milk'], ['milk'], ['milk']])
    expect((['produce', 'juice'] as const).map(extra)).toEqual([['produce'], ['produce']])
    expect(extra('coconut')).toEqual(['coconut'])
    expect((['sugar', 'fat', undefined] as const).map(extra)).toEqual([[], [], []])
    const none = { ...plan, amounts: plan.amounts.map(one => ({ ...one, massG: 0 })) }
    expect(sweetKeeping(none, contents, 0, false, () => 'milk').keeping.reasons).not.toContain('milk')
    expect(
      sweetKeeping({ ...plan, dish: { ...plan.dish, family: 'vegetable' } }, contents, 0, false, () => undefined)
        .keeping.reasons,
    ).toContain('produce')
    expect(sweetKeeping(plan, contents, 0, true, () => undefined).keeping.reasons).toContain('hands')
  })

  it('says at its last stage that it goes into the cold, and that a slab sets there', () => {
    const cautions = (of: typeof plan): Record<string, readonly string[]> =>
      Object.fromEntries(
        of.dish.stages
          .filter(stage => stage.cautions?.includes('two-hours'))
          .map(stage => [stage.id, stage.watch ?? []]),
      )
    expect(Object.keys(cautions(keptCold(plan, 600, () => 'milk')))).toEqual(['rest'])
    expect(keptCold(plan, 20, () => undefined)).toBe(plan)
    const slab = starterPlan(STARTER_DISHES.find(dish => dish.choices.form === 'slab')!.id)
    const told = cautions(keptCold(slab, 600, () => 'milk'))
    expect(told.set).toContain('set-in-cold')
    // Where it sets, and at the last of what is done after the fire.
    const several = starterPlan('one-thread-gram')
    expect(several.dish.stages.filter(stage => stage.phase === 'after').map(stage => stage.id)).toEqual(
      ['free-share', 'nuts-in', 'spread', 'set'],
    )
    const last = cautions(keptCold(several, 600, () => 'milk'))
    expect(Object.keys(last)).toEqual(['spread', 'set'])
    expect(last.spread).not.toContain('set-in-cold')
  })
})
