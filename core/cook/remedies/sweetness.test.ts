import { describe, expect, it } from 'vitest'
import { bench, made, PANTRY, planOf, semolina, sugarId, told, withWater } from '../../../test/support/handBench'
import { handForecast, between } from '../../../test/support/handForecast'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { changed } from './bench'
import { slabHard, slabSoft, syrupFar, syrupOf, syrupWeak } from './strength'
import { notSweet, tooSweet } from './sweetness'

describe('sweetness', () => {
  it('too sweet: the plan\'s own proportions of all but sugar, or milk solids', () => {
    // 0.44 of the dry where 0.4 is wanted: 50 g dry are missing, 3 of solids to 2 of fat.
    const [dilute, milk] = tooSweet(bench())
    expect(dilute!.adds.map(one => one.massG)).toEqual([Math.round(30 / 0.9), 20, 45])
    expect(dilute!.notes).toEqual(['roast-beside', 'hot', 'more-of-it'])
    expect(told([milk!])).toEqual([`add-milk-solids khoya ${Math.round(50 / 0.65)}`])
    expect(milk!.notes).toEqual(['contains-milk', 'crumble-in'])
    const after = changed(bench().now, dilute!.adds, 0, 0)
    expect(after.sugarG / (after.solidsG + after.fatG + after.sugarG)).toBeCloseTo(0.4, 2)
  })

  it('too sweet by taste alone: as much less as is noticed', () => {
    const as = (sugarG: number) => bench({ now: { ...bench().now, sugarG }, pantry: { khoya: PANTRY.khoya } })
    // 0.41 of the dry is as planned, 0.413 is not.
    const dryG = 280 + 195
    expect(tooSweet(as(195)).at(-1)!.adds[0]!.massG).toBe(Math.round((dryG / 0.88 - dryG) / 0.65))
    expect(tooSweet(as(0))).toEqual([])
    expect(tooSweet(bench({ plan: planOf('winter-market-carrot'), pantry: {} }, 'soften'))).toEqual([])
  })

  it('not sweet: as much more as is noticed, or up to the plan, by the dish\'s own sweetener', () => {
    const sugar = semolina.amounts.find(one => one.id === sugarId)!.ingredient
    expect(told(notSweet(bench()))).toEqual([`add-sugar ${sugar} ${Math.round((0.44 * 1.12 * 500 - 220) / (1 - 0.44 * 1.12))}`])
    const little = bench({ now: { ...bench().now, sugarG: 150 } })
    expect(told(notSweet(little))).toEqual([`add-sugar ${sugar} ${Math.round((0.4 * 430 - 150) / 0.6)}`])
    expect(notSweet(little)[0]!.notes).toEqual(['runs-then-tightens'])
    // A dish that wants none gets a little to begin with.
    const none = bench({ now: { ...bench().now, sugarG: 0 }, aim: { ...bench().aim, sugarG: 0 } })
    expect(told(notSweet(none))).toEqual([`add-sugar ${sugar} ${Math.round(0.02 * 280 / 0.98)}`])
    const own = { ...semolina, amounts: semolina.amounts.filter(one => one.id !== sugarId) }
    expect(told(notSweet(bench({ plan: own })))[0]).toMatch(/^add-sugar sugar /)
    expect(notSweet(bench({ plan: own, pantry: {} }))).toEqual([])
    // A dark jaggery sweetens by its sugar, though it is taken for no less than three tenths of it.
    const dark = { ...semolina, amounts: semolina.amounts.map(one => (one.id === sugarId ? { ...one, composition: made({ sugar: 0.2, water: 0.8 }) } : one)) }
    expect(notSweet({ ...little, plan: dark })[0]!.adds[0]!.massG).toBe(Math.round((0.4 * 430 - 150) / 0.6 / 0.3))
  })

  it('not sweet since it was forgotten: exactly that', () => {
    const left = bench({}, 'take-up', [[310, 'forgotten', { ingredient: sugarId }]])
    expect(notSweet(left)[0]).toMatchObject({ way: 'add-forgotten', adds: [{ massG: 180 }] })
  })

  it('not sweet in what is shaped dry: powdered, off the fire', () => {
    const balls = planOf('marble-gram-balls')
    expect(notSweet(bench({ plan: balls }, 'rub-in'))[0]).toMatchObject({ takesS: 120, notes: ['powdered-off-fire'] })
  })
})

describe('strength', () => {
  const slab = planOf('diamond-cashew')
  const syrup = { waterG: 100, solidsG: 0, fatG: 0, sugarG: 234, nutsG: 0 }
  const at = (sugarShare: number) => syrupAtShare(sugarShare, 0, 101_325).boilsAtC

  it('a syrup in the pan is boiled on or thinned to 78 % of sugar, by weight and by temperature', () => {
    const weak = syrupWeak(bench({ plan: slab, now: syrup }, 'syrup'), null)[0]!
    // 234 g of sugar hold 66 g of water at that strength.
    expect(weak).toMatchObject({ way: 'boil-syrup-on', drivesOffG: 34, grossG: 1300 + 300, notes: ['no-stirring'] })
    expect(weak.tempC).toBeCloseTo(at(0.78), 9)
    const hot = bench({ plan: { ...slab, thermometerK: 1.5 }, now: syrup }, 'syrup')
    expect(syrupWeak(hot, null)[0]!.tempC).toBeCloseTo(at(0.78) + 1.5, 9)
    const far = syrupFar(bench({ plan: slab, now: { ...syrup, waterG: 46 } }, 'syrup'), null)[0]!
    expect(told([far])).toEqual(['thin-syrup water 20'])
    expect(far).toMatchObject({ grossG: 1600, notes: ['hot', 'spits-steam'] })
    // Where it is right by the balance, a fiftieth of it.
    expect(syrupWeak(bench({ plan: slab, now: { ...syrup, waterG: 66 } }, 'syrup'), null)[0]!.drivesOffG).toBe(6)
    expect(syrupFar(bench({ plan: slab, now: { ...syrup, waterG: 66 } }, 'syrup'), null)[0]!.adds[0]!.massG).toBe(6)
  })

  it('a syrup beside the pan is found there until it is poured', () => {
    const beside = planOf('syrup-set-semolina')
    const pot = beside.vessels.pot!.vessel.massG
    const side = {
      vessel: 'pot', meets: 1, needs: between(1, 2), lightS: null, boils: null, now: { tempC: 108, contentG: 280, heldG: 300 },
    }
    const forecast = handForecast({ sides: [side] })
    const of = bench({ plan: beside }, 'roast')
    expect(syrupOf(of, forecast)).toEqual({ contents: { waterG: 100, solidsG: 0, fatG: 0, sugarG: 180, nutsG: 0 }, tareG: pot })
    expect(syrupOf(of, null)).toBeNull()
    expect(syrupOf(of, handForecast({ sides: [{ ...side, now: undefined }] }))).toBeNull()
    expect(syrupOf(bench({ plan: beside }, 'pour'), forecast)).toBeNull()
    expect(syrupOf(bench({}, 'roast'), forecast)).toBeNull()
    expect(syrupWeak(of, null)).toEqual([])
    expect(syrupFar(of, null)).toEqual([])
    expect(syrupWeak(of, forecast)[0]!.grossG).toBe(Math.round(pot + 180 / 0.78))
  })

  it('a slab that will not set is driven drier, one that is too hard takes water', () => {
    expect(slabSoft(bench({ plan: slab }))[0]).toMatchObject({
      way: 'reheat-drive-off', drivesOffG: 150, grossG: 2250, notes: ['low-stir-always', 'scrape-back'],
    })
    expect(slabSoft(withWater(440))[0]!.drivesOffG).toBe(Math.round(0.02 * 940))
    expect(slabSoft(bench({ aim: { ...bench().aim, waterG: 0 } }))[0]!.drivesOffG).toBe(480)
    const hard = slabHard(withWater(400))[0]!
    expect(told([hard])).toEqual(['work-in-water water 50'])
    expect(hard).toMatchObject({ grossG: 1300 + 950, notes: ['hot', 'low-stir-always'] })
    expect(told(slabHard(bench()))).toEqual([`work-in-water water ${0.02 * 1100}`])
  })
})
