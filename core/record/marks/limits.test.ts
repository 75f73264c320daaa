import { describe, expect, it } from 'vitest'
import { storyTo } from '../../../test/support/handForecast'
import { marked, starterPlan } from '../../../test/support/plans'
import { LEAST_CUT_MM, MOST_CUT_MM } from '../../formulation/tray/cut'
import { replay } from '../replay/replay'
import { PanChangeSchema } from './panChange'

const plan = starterPlan('sweet-water-semolina')
/** The cook with one mark in its roast. */
const after = (kind: string, payload: Record<string, unknown> = {}) => replay(plan, [...storyTo(plan, 'roast'), marked(9, 200, kind, payload)])

describe('a mark at the fire', () => {
  it('is a number that can be: above nothing, up to its most', () => {
    expect([0, 0.1, 100_000, 100_001].map(grossG => after('weighed', { grossG }).weighings.length)).toEqual([0, 1, 1, 0])
    expect([-50, 0, 0.1, 1000, 1001].map(tempC => after('temperature', { tempC }).temperatures.length)).toEqual([0, 0, 1, 1, 0])
    expect([0, 0.1, 500, 501].map(depthMm => after('depth.measured', { depthMm }).depths.length)).toEqual([0, 1, 1, 0])
    expect([0, 1, 7200, 7201].map(seconds => after('unstirred', { seconds }).unstirred.length)).toEqual([0, 1, 1, 0])
    expect([0, 0.01, 1, 1.01].map(share => after('kept.back', { vessel: 'pot', share }).keptBack.length)).toEqual([0, 1, 1, 0])
    expect([0, 1, 1e5, 1e5 + 1].map(readG => after('reading.unsure', { readG }).unsure.length)).toEqual([0, 1, 1, 0])
  })

  it('adds what is made of parts that come to one, and no more invert sugar than sugar', () => {
    const taken = (composition: object): boolean =>
      PanChangeSchema.safeParse({ adds: [{ ingredient: 'x', massG: 10, composition }] }).success
    const none = { water: 0, solids: 0, fat: 0, sugar: 0, nuts: 0 }
    for (const part of ['water', 'solids', 'fat', 'sugar', 'nuts'] as const) {
      expect(taken({ ...none, [part]: 1 }), part).toBe(true)
      expect(taken({ ...none, water: 0.4, [part]: part === 'water' ? 1 : 0.6 }), part).toBe(true)
    }
    expect([0.97, 0.985].map(water => taken({ ...none, water }))).toEqual([false, true])
    expect(taken({ ...none, water: 0.6, sugar: 0.6 })).toBe(false)
    expect([0.5, 0.51].map(invert => taken({ ...none, water: 0.5, sugar: 0.5, invert }))).toEqual([true, false])
  })

  it('names what there is: a vessel, an ingredient, a step', () => {
    const sugar = plan.dish.ingredients.find(one => one.part === 'sugar')!.id
    expect([sugar, 'moon'].map(ingredient => after('forgotten', { ingredient }).forgotten.length)).toEqual([1, 0])
    expect(['pot', 'pan'].map(vessel => after('rest.poured', { vessel }).restPoured.length)).toEqual([1, 0])
    expect(['rest', 'moon'].map(stage => Object.keys(after('step.done', { stage }).steps))).toEqual([['rest'], []])
    expect(['lumps', 'moon'].map(as => after('perceived', { as }).perceived.length)).toEqual([1, 0])
  })

  it('is of the vessel that it names, or of the one over the main fire', () => {
    expect(after('weighed', { grossG: 900 }).weighings[0]!.what).toEqual({ vessel: 'pan', grossG: 900 })
    expect(after('temperature', { vessel: 'pot', tempC: 80 }).temperatures[0]!.what).toEqual({ vessel: 'pot', tempC: 80 })
    expect(after('flame.changed', { vessel: 'pot', mark: 'm1' }).controls[0]).toEqual({ id: 'tablet-9', timeS: 200, what: { vessel: 'pot', mark: 'm1' } })
    expect(after('vessel.lit', { vessel: 'pot' }).lit).toEqual({ pot: 200 })
  })

  it('is a note of the moment it is for, within a day, else of its own', () => {
    const at = (atS: number) => after('note', { text: 'x', atS }).notes[0]!.timeS
    expect([0, 60, 86_400, 86_401, -1].map(at)).toEqual([0, 60, 86_400, 200, 200])
  })

  it('is an outcome of so many faults and so long a line', () => {
    const told = after('outcome', { faults: [...Array.from({ length: 30 }, () => 'runny'), 'x'.repeat(41)], line: 'y'.repeat(500) }).outcome!
    expect([told.faults.length, told.line.length]).toEqual([20, 400])
    expect(after('outcome', { faults: ['x'.repeat(40), 'x'.repeat(41)] }).outcome).toEqual({ faults: ['x'.repeat(40)], line: '' })
  })
})

describe('a mark after the fire', () => {
  const done = (kind: string, payload: Record<string, unknown>) =>
    replay(plan, [...storyTo(plan, 'rest'), marked(20, 900, 'cook.finished'), marked(21, 1000, kind, payload)]).after
  const tray = { name: 'tin', shape: 'rectangle', widthMm: 200, lengthMm: 200, depthMm: 40 }
  const cut = { firstMm: 30, secondMm: 30, turnDeg: 0, slantDeg: 90 }
  const shaped = (payload: Record<string, unknown>): boolean => done('shaped', payload).shaped !== null

  it('is a tray and a cut that a kitchen has', () => {
    const of = (key: string, value: number): boolean => shaped({ way: 'tray', tray: { ...tray, [key]: value }, cut })
    for (const key of ['widthMm', 'lengthMm']) expect([49, 50, 1000, 1001].map(value => of(key, value)), key).toEqual([false, true, true, false])
    expect([4, 5, 200, 201].map(value => of('depthMm', value))).toEqual([false, true, true, false])
    const by = (key: string, value: number): boolean => shaped({ way: 'tray', tray, cut: { ...cut, [key]: value } })
    expect([-91, -90, 90, 91].map(value => by('turnDeg', value))).toEqual([false, true, true, false])
    expect([19, 20, 160, 161].map(value => by('slantDeg', value))).toEqual([false, true, true, false])
    for (const key of ['firstMm', 'secondMm'])
      expect([LEAST_CUT_MM - 1, LEAST_CUT_MM, MOST_CUT_MM, MOST_CUT_MM + 1].map(value => by(key, value)), key).toEqual([false, true, true, false])
  })

  it('is balls and bowls that a hand makes', () => {
    expect([2.9, 3, 500, 501].map(eachG => shaped({ way: 'balls', eachG }))).toEqual([false, true, true, false])
    expect([19, 20, 5000, 5001].map(bowlMl => shaped({ way: 'bowls', bowlMl }))).toEqual([false, true, true, false])
  })

  it('has a tray\'s name cut to sixty characters, or none', () => {
    const named = (name: unknown) => {
      const { shaped: how } = done('shaped', { way: 'tray', tray: { ...tray, name }, cut })
      return how?.what.way === 'tray' ? how.what.tray.name.length : null
    }
    expect([named('x'.repeat(80)), named(7)]).toEqual([60, 0])
  })

  it('gives out a tenth of a gram at least, and up to what a household makes', () => {
    expect([0.09, 0.1, 100_000, 100_001].map(massG => done('given.out', { massG, to: 'eaten' }).givenOut.length)).toEqual([0, 1, 1, 0])
  })

  it('keeps the newest place, whether it was in time, what was liked, and when it was gone', () => {
    expect(done('put.away', { place: 'cold', inTime: true }).places).toEqual([{ id: 'tablet-21', timeS: 1000, what: 'cold', inTime: true }])
    expect(done('put.away', { place: 'cold', inTime: false }).places).toEqual([{ id: 'tablet-21', timeS: 1000, what: 'cold' }])
    expect(done('gone', {}).goneS).toBe(1000)
    expect(done('liked', { sweetness: 'less' }).liked).toEqual({ sweetness: 'less' })
    expect(done('liked', {}).liked).toEqual({})
  })
})

describe('what goes into the pan beside the plan', () => {
  const WATER = { water: 1, solids: 0, fat: 0, sugar: 0, nuts: 0 }
  const added = (told: Record<string, unknown>) => after('added', told).changes
  const one = (massG: number, composition: Record<string, number> = WATER) => ({ adds: [{ ingredient: 'water', massG, composition }] })

  it('is above nothing and up to 20 kg, of at most twelve things', () => {
    expect([0, 0.1, 20_000, 20_001].map(massG => added(one(massG)).length)).toEqual([0, 1, 1, 0])
    const many = (count: number) => ({ adds: Array.from({ length: count }, () => one(5).adds[0]!) })
    expect([12, 13].map(count => added(many(count)).length)).toEqual([1, 0])
    expect([0, 1, 5000, 5001].map(liftsFatG => added({ liftsFatG }).length)).toEqual([0, 1, 1, 0])
  })

  it('is made of parts that add to one within a fiftieth, with no more invert sugar than sugar', () => {
    expect([0.981, 0.979].map(water => added(one(5, { ...WATER, water })).length)).toEqual([1, 0])
    const sugar = (invert: number) => ({ ...WATER, water: 0.5, sugar: 0.5, invert })
    expect([0.5, 0.51].map(invert => added(one(5, sugar(invert))).length)).toEqual([1, 0])
    expect(added(one(5, sugar(0)))[0]!.what.adds[0]!.composition).toEqual({ ...WATER, water: 0.5, sugar: 0.5 })
    expect(added(one(5, sugar(0.2)))[0]!.what).toEqual({
      adds: [{ ingredient: 'water', massG: 5, composition: sugar(0.2) }], liftsFatG: 0, repairs: null,
    })
    expect(added(one(5, { ...WATER, water: 1.01, solids: -0.01 }))).toEqual([])
  })
})
