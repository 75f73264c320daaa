import { describe, expect, it } from 'vitest'
import { DAY, STARTS, SUJI } from '../../../test/support/smallDay'
import { dispatchDay } from '../planning/dispatchDay'
import type { Day } from '../problem/day'
import { brokenBy, lastHeld, repairDay } from './repairDay'
import { todayOf } from './todayOf'
import { frozen, underWay, whatIsLeft } from './underWay'

const going = (step: string, begun: number) => ({ step, begun, ended: null })
const done = (step: string, begun: number, ended: number) => ({ step, begun, ended })
const durOf = (day: Day, dish: string, activity: string) =>
  day.dishes.find(one => one.id === dish)!.activities.find(one => one.id === activity)!.dur

describe('a day under way', () => {
  it('lasts what was done as long as it took, and what goes on longer than now', () => {
    expect(durOf(underWay(DAY, [done('suji.nuts', 58, 65)], 70), 'suji', 'nuts')).toEqual([7, 7, 7])
    expect(durOf(underWay(DAY, [done('suji.nuts', 58, 58)], 70), 'suji', 'nuts')).toEqual([1, 1, 1])
    expect(durOf(underWay(DAY, [going('suji.roast', 64)], 70), 'suji', 'roast')).toEqual([20, 20, 22])
    expect(durOf(underWay(DAY, [going('suji.roast', 64)], 90), 'suji', 'roast')).toEqual([27, 27, 27])
    expect(durOf(underWay(DAY, [{ step: 'suji.roast', begun: null, ended: null }], 90), 'suji', 'roast')).toEqual([19, 20, 22])
    expect([underWay(DAY, [], 70).now, underWay(DAY, [], 5).now]).toEqual([70, 10])
  })

  it('holds what is begun, and what begins within ten minutes, where it is', () => {
    expect(frozen(DAY, STARTS, [going('suji.nuts', 57)], 63)).toEqual([
      { kind: 'pin', step: 'suji.nuts', start: 57 }, { kind: 'pin', step: 'suji.roast', start: 64 },
    ])
    expect(frozen(DAY, STARTS, [], 64).map(one => one.step)).toEqual(['suji.roast', 'suji.liquid'])
    expect(frozen(DAY, STARTS, [], 65).map(one => one.step)).toEqual(['suji.liquid'])
    expect(frozen(DAY, STARTS, [], 63).map(one => one.step)).toEqual(['suji.roast'])
  })

  it('leaves to be planned what has not begun: no wait before what is begun is asked for', () => {
    const wishes = [{ kind: 'pin', step: 'suji.roast', start: 1 }, { kind: 'pin', step: 'lentil.cook', start: 141 }] as const
    const left = whatIsLeft({ ...DAY, wishes: [...wishes] }, STARTS, [done('suji.nuts', 58, 63), going('suji.roast', 64), done('suji.liquid', 70, 80), going('suji.pour', 84)], 85)
    const [suji, lentil] = left.dishes
    expect(suji!.lags.map(lag => lag.to)).toEqual(['stir'])
    expect([suji!.hotPour, suji!.stands]).toEqual([undefined, undefined])
    expect(lentil!.lags).toEqual(DAY.dishes[1]!.lags)
    expect(left.wishes!.map(one => [one.step, one.kind === 'pin' ? one.start : null])).toEqual([
      ['lentil.cook', 141], ['suji.nuts', 58], ['suji.roast', 64], ['suji.liquid', 70], ['suji.pour', 84], ['suji.stir', 90],
    ])
    const early = whatIsLeft(DAY, STARTS, [going('suji.nuts', 58)], 59).dishes[0]!
    expect([early.hotPour, early.stands]).toEqual([SUJI.hotPour, SUJI.stands])
  })
})

describe('what no longer holds', () => {
  const broken = (starts: Record<string, number>, begun: readonly string[] = [], day: Day = DAY) =>
    brokenBy(day, { ...STARTS, ...starts }, new Map(begun.map(step => [step, 0]))).map(one => [one.kind, one.about, one.minutes])

  it('is a meal that is late, by its latest dish', () => {
    expect(broken({})).toEqual([])
    const later = { 'suji.roast': 66, 'suji.liquid': 74 }
    expect(broken({ ...later, 'suji.pour': 88, 'suji.stir': 92 })).toEqual([])
    expect(broken({ ...later, 'suji.pour': 89, 'suji.stir': 93 })).toEqual([['late', 'lunch', 1]])
    expect(broken({ 'lentil.cook': 275 }, ['lentil.cook'])).toEqual([['late', 'tea', 5]])
  })

  it('is a wait that is too long, unless what waited is begun', () => {
    // Roasted to 84, at most three minutes to the pour.
    expect(broken({ 'suji.pour': 87 })).toEqual([])
    expect(broken({ 'suji.pour': 88 })).toEqual([['waits-long', 'suji.roast', 1]])
    expect(broken({ 'suji.pour': 88 }, ['suji.pour'])).toEqual([])
  })

  it('is a liquid that is cold, counted from when it was heated last', () => {
    // Hot at 83, five minutes at most.
    expect(broken({ 'suji.pour': 90, 'suji.roast': 68 })).toEqual([['cold-pour', 'suji.pour', 2]])
    expect(broken({ 'suji.pour': 90, 'suji.roast': 68, 'suji.reheat': 82 })).toEqual([])
    expect(broken({ 'suji.pour': 91, 'suji.roast': 69, 'suji.reheat': 82 })).toEqual([['cold-pour', 'suji.pour', 1]])
  })

  it('is what stands too long, the wait for a late meal in it', () => {
    const stands = { ...DAY, dishes: [{ ...SUJI, stands: { from: 'pour', most: 9 } }, DAY.dishes[1]!] }
    // Poured to 90, and eaten at 100.
    expect(broken({}, [], stands)).toEqual([['stands-long', 'suji.pour', 1]])
  })
})

describe('a repair of it, by hand', () => {
  it('moves what has to be moved, no further, and keeps the liquid hot', () => {
    // The nuts go on at 70: they end at 71, the roast at 92.
    const repaired = repairDay(DAY, STARTS, [going('suji.nuts', 58)], 70)
    expect(repaired.starts).toEqual({ ...STARTS, 'suji.roast': 72, 'suji.liquid': 77, 'suji.pour': 92, 'suji.stir': 96 })
    expect(repaired).toMatchObject({ late: { lunch: 4 }, lateMin: 4, dispatched: false, broken: [{ kind: 'late', about: 'lunch', minutes: 4 }] })
    expect([...repaired.moved].sort()).toEqual(['suji.liquid', 'suji.pour', 'suji.roast', 'suji.stir'])
  })

  it('begins nothing before now, and nothing while its cook is away', () => {
    expect(repairDay(DAY, STARTS, [], 60).starts['suji.nuts']).toBe(60)
    const away = { ...DAY, away: [{ cook: 'all' as const, from: 105, to: 118, why: 'out' }] }
    expect(repairDay(away, STARTS, [done('suji.nuts', 58, 63), done('suji.roast', 64, 84), done('suji.liquid', 73, 83), done('suji.pour', 86, 90), done('suji.stir', 90, 96)], 97).starts['lentil.grind']).toBe(118)
  })

  it('keeps the last step of what is held, and says what lacks its pan', () => {
    expect([lastHeld(DAY, 'suji.nuts'), lastHeld(DAY, 'suji.liquid'), lastHeld(DAY, 'suji.roast')]).toEqual(['suji.stir', 'suji.pour', 'suji.roast'])
    const none = { ...DAY, vessels: DAY.vessels.filter(one => !one.kind.startsWith('heavy')) }
    expect(repairDay(none, STARTS, [], 20).broken.filter(one => one.kind === 'lacking').map(one => [one.about, one.minutes]))
      .toEqual(expect.arrayContaining([['suji.nuts', 0]]))
  })
})

describe('plain dispatch, by hand', () => {
  it('begins all as soon as it may, in the order of the plan', () => {
    const starts = dispatchDay({ ...DAY, now: 20 }, STARTS, new Map())
    // Ground to 35 and five minutes on; by then the liquid has given its fire back.
    expect(starts).toMatchObject({ 'suji.nuts': 20, 'suji.roast': 26, 'suji.liquid': 20, 'suji.pour': 46, 'suji.stir': 50, 'lentil.grind': 20 })
    expect(starts['lentil.cook']).toBe(40)
  })

  it('waits for a lone fire, a lone pair of hands and the only pan', () => {
    const alone = dispatchDay({ ...DAY, now: 20, burners: 1, cooks: 1, vessels: DAY.vessels.filter(one => one.id !== 'large') }, STARTS, new Map())
    // At 25 the roast must wait a minute more: liquid takes the fire and the grinder the hands, which are free at 40.
    expect(alone).toMatchObject({ 'suji.nuts': 20, 'suji.liquid': 25, 'lentil.grind': 25, 'suji.roast': 40, 'suji.pour': 60, 'suji.stir': 64 })
    expect(alone['lentil.cook']).toBeGreaterThanOrEqual(70)
    expect(alone['lentil.cook']! - alone['lentil.grind']! - 15).toBeGreaterThanOrEqual(5)
  })

  it('leaves what is begun', () => {
    expect(dispatchDay({ ...DAY, now: 70 }, STARTS, new Map([['suji.nuts', 58], ['suji.roast', 64]])))
      .toMatchObject({ 'suji.nuts': 58, 'suji.roast': 64, 'suji.liquid': 70, 'suji.pour': 84 })
  })
})

describe('today', () => {
  const fire = { doings: [going('suji.roast', 66)], spans: { 'suji.roast': [20, 24, 30] as const } }
  const today = todayOf(DAY, DAY, STARTS, [done('suji.nuts', 58, 64), going('suji.roast', 65)], [fire], 75)
  const stepOf = (step: string) => [...today.hands.flat(), ...today.byThemselves].find(one => one.step === step)!

  it('goes by the fire where that says otherwise, and by what it forecasts', () => {
    expect(stepOf('suji.nuts')).toMatchObject({ from: 58, to: 64, state: 'done' })
    expect(stepOf('suji.roast')).toMatchObject({ from: 66, to: 90, state: 'going' })
    expect(today.doings).toHaveLength(2)
    expect(today.repaired.starts['suji.pour']).toBe(90)
    expect(stepOf('lentil.grind')).toMatchObject({ state: 'later', from: 110 })
    // The liquid is due: it may begin now.
    expect(stepOf('suji.liquid')).toMatchObject({ state: 'due', from: 75 })
    expect(today.byThemselves.map(one => one.step)).toEqual(['suji.liquid'])
  })

  it('moves the lanes with their steps, and holds a pan to the end of its last', () => {
    const pan = today.lanes.vessels.flatMap(({ spans }) => spans).find(span => span.step === 'suji.nuts')!
    expect([pan.from, pan.to]).toEqual([58, 100])
    expect(today.lanes.fires.flat().find(span => span.step === 'suji.roast')).toMatchObject({ from: 66, to: 90 })
  })
})
