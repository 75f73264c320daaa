import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { cookThrough, standingOf, type AfterMarks } from '../../../test/support/afterFire'
import { rowOf, starterPlan } from '../../../test/support/plans'
import { bringBack } from './bringBack'
import { finishedMass } from './finishedMass'
import { labelOf } from './labelOf'
import { rollingOf } from './rollingOf'
import { yieldOf } from '../../formulation/yield/yieldOf'

const finishedOf = (id: string): number => {
  const card = STARTER_DISHES.find(one => one.id === id)!
  return yieldOf(card, card.usual.baseG, rowOf).finishedG.middle
}

describe('what a finished cook has made', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s: everything that went in, and the water its weight leaves', (id) => {
    const plan = starterPlan(id)
    const mass = finishedMass(plan, cookThrough(plan), finishedOf(id))
    expect(mass.massG).toBeGreaterThanOrEqual(finishedOf(id) - 1e-6)
    expect(mass.density).toBeGreaterThan(0.7)
    expect(mass.density).toBeLessThan(1.6)
    const dry = plan.amounts.reduce((sum, one) => sum + one.massG * (1 - one.composition.water), 0)
    expect(mass.massG - mass.contents.waterG).toBeCloseTo(dry, 3)
  })
})

describe('how a batch stands', () => {
  it('keeps milk and produce cold, and dry balls long', () => {
    const carrot = standingOf(starterPlan('winter-market-carrot'), finishedOf('winter-market-carrot'))
    expect(carrot.keeping.standsH).toBe(2)
    expect(
      standingOf({ ...starterPlan('winter-market-carrot'), airC: 34 }, finishedOf('winter-market-carrot')).keeping
        .standsH,
    ).toBe(1)
    expect(carrot.keeping.reasons).toContain('milk')
    const balls = standingOf(starterPlan('marble-gram-balls'), finishedOf('marble-gram-balls'))
    expect(balls.keeping.days.room[0]).toBeGreaterThan(3)
    expect(balls.keeping.reasons).toContain('hands')
    expect(balls.activity.high).toBeLessThan(0.6)
  })

  it('counts what was given out, and what was put away where', () => {
    const plan = starterPlan('winter-market-carrot')
    const before = standingOf(plan, 900)
    const after = standingOf(plan, 900, [
      [1000, 'given.out', { massG: 120, to: 'set-apart' }],
      [1100, 'given.out', { massG: 300, to: 'eaten' }],
      [1200, 'put.away', { place: 'cold' }],
      [1300, 'given.out', { massG: -4, to: 'eaten' }],
    ])
    expect(after.leftG).toBeCloseTo(before.leftG - 420)
    expect(after).toMatchObject({ place: 'cold', gone: false })
    expect(after.eatBy[0]).toBeGreaterThan(before.eatBy[0])
    expect(standingOf(plan, 900, [[1000, 'gone']]).gone).toBe(true)
  })

  it('counts all its hours outside the cold, and throws out what stood too long, whenever it was put away', () => {
    const plan = starterPlan('winter-market-carrot')
    const HOUR_S = 3600
    const put = (hours: number, place: string, more = {}): [number, string, Record<string, unknown>] => [
      hours * HOUR_S,
      'put.away',
      { place, ...more },
    ]
    const offS = (standingOf(plan, 900).madeAt - plan.plannedAt) / 1000
    const off = offS / HOUR_S
    const at = (...marks: [number, string, Record<string, unknown>][]): ReturnType<typeof standingOf> =>
      standingOf(plan, 900, marks)
    const hoursTo = (ms: number | null): number => (ms! - plan.plannedAt) / 3_600_000
    expect(hoursTo(at().coldBy)).toBeCloseTo(off + 2, 3)
    expect(at(put(off + 1.5, 'cold')).coldBy).toBeNull()
    expect(at(put(off + 1.5, 'cold')).eatBy).toEqual(at().inCold)
    // Half an hour is left of its two.
    expect(hoursTo(at(put(off + 1.5, 'cold'), put(off + 20, 'room')).coldBy)).toBeCloseTo(off + 20.5, 3)
    const late = at(put(off + 5, 'cold'))
    expect(hoursTo(late.coldBy)).toBeCloseTo(off + 2, 3)
    expect(late.eatBy).toEqual([late.coldBy, late.coldBy])
    expect(at(put(off + 5, 'cold', { inTime: true })).coldBy).toBeNull()
    const dry = starterPlan('marble-gram-balls')
    expect(standingOf(dry, finishedOf('marble-gram-balls')).coldBy).toBeNull()
  })

  it('sets a slab in its tray, and is ready when it can be cut', () => {
    const plan = starterPlan('diamond-cashew')
    const tray = { name: 'tin', shape: 'rectangle', widthMm: 180, lengthMm: 240, depthMm: 35 }
    const cut = { firstMm: 30, secondMm: 30, turnDeg: 0, slantDeg: 60 }
    const one = standingOf(plan, finishedOf('diamond-cashew'), [[400, 'shaped', { way: 'tray', tray, cut }]])
    expect(one.setting!.cut).not.toBeNull()
    expect(one.readyAt).toBeGreaterThan(one.madeAt)
    const thick = standingOf(plan, finishedOf('diamond-cashew'), [
      [400, 'shaped', { way: 'tray', tray: { ...tray, widthMm: 90, lengthMm: 140, depthMm: 80 }, cut }],
    ])
    expect(thick.setting!.cut!.middle).toBeGreaterThan(one.setting!.cut!.middle)
    expect(standingOf(plan, 600, [[400, 'shaped', { way: 'balls', eachG: 30 }]]).setting).toBeNull()
  })

  it('passes over what cannot be used, and keeps the newest liking', () => {
    const plan = starterPlan('winter-market-carrot')
    const cook = cookThrough(plan, [
      [900, 'liked', { sweetness: 'more' }],
      [950, 'liked', { sweetness: 'right', softness: 'less' }],
      [960, 'liked', { sweetness: 'tasty' }],
      [970, 'shaped', { way: 'tray', tray: { shape: 'star' } }],
      [980, 'dish.changed', { dish: 'x', version: 2, fault: 'runny', cause: 'too-wet' }],
      [990, 'put.away', { place: 'moon' }],
    ])
    expect(cook.after.liked).toEqual({ sweetness: 'right', softness: 'less' })
    expect(cook.after).toMatchObject({ shaped: null, places: [], changed: [{ what: { version: 2 } }] })
    expect(cook.moments.filter(one => !one.known)).toHaveLength(3)
  })
})

describe('when a finished mass can be rolled', () => {
  it('is at once for balls, which are finished hand-warm, and later for what leaves the fire hot', () => {
    const [balls, carrot] = ['marble-gram-balls', 'winter-market-carrot'].map((id) => {
      const plan = starterPlan(id)
      return rollingOf(plan, finishedMass(plan, cookThrough(plan), finishedOf(id)))!
    })
    expect(balls!.from.middle).toBe(0)
    expect(balls!.until!.middle).toBeGreaterThan(60)
    expect(carrot!.from.middle).toBeGreaterThan(600)
  })

  it('is not known without its vessel', () => {
    const plan = starterPlan('marble-gram-balls')
    expect(rollingOf({ ...plan, vessels: {} }, finishedMass(plan, cookThrough(plan), 600))).toBeNull()
  })
})

describe('bringing a portion back', () => {
  const contents = { waterG: 300, solidsG: 150, fatG: 90, sugarG: 200, nutsG: 10 }

  it('takes it out of the cold in time, the thicker the earlier', () => {
    const thin = bringBack(contents, 200, 'room', true, 15, 26, 300, null)
    const thick = bringBack(contents, 200, 'room', true, 40, 26, 300, null)
    expect(thin.outAheadS).toBeGreaterThan(300)
    expect(thick.outAheadS).toBeGreaterThan(thin.outAheadS)
    expect(bringBack(contents, 200, 'room', true, 120, 26, 300, 2).outAheadS).toBe(7200)
    expect(bringBack(contents, 200, 'room', true, 120, 34, 300, 1).outAheadS).toBe(3600)
    expect(bringBack(contents, 200, 'cold', true, 15, 26, 300, null)).toEqual({ outAheadS: 0, warmed: null })
    expect(bringBack(contents, 200, 'room', false, 15, 26, 300, null).outAheadS).toBe(0)
  })

  it('warms what perishes through to 75 °C, however it is eaten', () => {
    const of = (served: 'hot' | 'warm', standsH: number | null) =>
      bringBack(contents, 200, served, true, 20, 26, 300, standsH).warmed!
    expect([of('hot', 2).toC, of('warm', 2).toC, of('hot', null).toC, of('warm', null).toC]).toEqual([75, 75, 65, 48])
    expect(of('warm', 2).seconds).toBeGreaterThan(of('warm', null).seconds)
  })

  it('warms a moist one with milk and a dry one with ghee', () => {
    const moist = bringBack(contents, 200, 'hot', true, 20, 26, 300, null).warmed!
    expect(moist.spoonOf).toBe('milk')
    expect(moist.seconds).toBeGreaterThan(60)
    expect(moist.seconds).toBeLessThan(900)
    expect(bringBack({ ...contents, waterG: 10 }, 200, 'hot', false, 20, 26, 300, null).warmed!.spoonOf).toBe('ghee')
  })
})

describe('a label', () => {
  const plan = starterPlan('winter-market-carrot')
  const labelled = (marks: AfterMarks) => labelOf(plan, cookThrough(plan, marks), standingOf(plan, 900, marks), rowOf)

  it('names what went in by falling weight, and its allergens once', () => {
    const label = labelled([])
    const weights = label.ingredients.map(id =>
      plan.amounts.filter(one => one.ingredient === id).reduce((sum, one) => sum + one.massG, 0),
    )
    expect(weights).toEqual([...weights].sort((p, q) => q - p))
    expect(label.ingredients[0]).toBe('carrot-red')
    expect(label.allergens).toContain('milk')
    expect(new Set(label.allergens).size).toBe(label.allergens.length)
    expect(label).toMatchObject({ name: plan.dish.name, cold: true })
    expect(label.eatBy[0]).toBeLessThanOrEqual(label.eatBy[1])
  })

  it('counts what was added on the way and not what was forgotten, and says what is left', () => {
    const sugar = plan.amounts.find(one => one.ingredient === 'sugar')!
    const added = { ingredient: 'cashew-halves', massG: 4000, composition: rowOf('cashew-halves').composition }
    const cooked: AfterMarks = [
      [1, 'forgotten', { ingredient: sugar.id }],
      [2, 'repaired', { fault: 'runny', way: 'add-nuts', adds: [added] }],
    ]
    const label = labelled([...cooked, [1000, 'given.out', { massG: 300, to: 'eaten' }]])
    expect(label.ingredients).not.toContain('sugar')
    expect(label.ingredients[0]).toBe('cashew-halves')
    expect(label.massG).toBeCloseTo(labelled(cooked).massG - 300, 6)
  })

  it('says how much as a kitchen does: a soft mass by its volume, a slab by its pieces', () => {
    const soft = labelled([])
    expect(soft.about).toMatchObject({ volumeMl: expect.any(Number) })
    const { volumeMl } = soft.about as { volumeMl: number }
    expect(soft.massG / volumeMl).toBeGreaterThan(0.7)
    expect(soft.massG / volumeMl).toBeLessThan(1.5)
    const slab = starterPlan('one-thread-gram')
    const cut = labelOf(slab, cookThrough(slab, []), standingOf(slab, 900, []), rowOf)
    expect(cut.about).toEqual({ pieces: Math.round(cut.massG / slab.dish.portionG), eachG: slab.dish.portionG })
  })
})
