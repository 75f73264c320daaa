import { describe, expect, it } from 'vitest'
import { handForecast, between, storyTo, type More } from '../../../test/support/handForecast'
import { starterPlan } from '../../../test/support/plans'
import type { Composition } from '../../materials/composition/composition'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { constant } from '../../materials/constants/constants'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { LATENT_HEAT } from '../../materials/water/latentHeat'
import type { ForecastPoint } from '../../record/plan/forecast'
import type { CookPlan, PlanAmount } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { changed, drivingS, remedy, sharesOf, some, type Bench } from './bench'
import { ballsCrumble, ballsFlatten, greasy, sticking } from './fat'
import { lumpy, milkCatches, milkSplit, rawTaste, scorched } from './roast'
import { slabHard, slabSoft, syrupFar, syrupOf, syrupWeak } from './strength'
import { notSweet, tooSweet } from './sweetness'
import { dry, fatOf, fatSpoon, gluey, hardGrain, pasty, runny, wantedWaterG } from './wetness'

const made = (of: Partial<Composition>): Composition => ({ water: 0, solids: 0, fat: 0, sugar: 0, nuts: 0, ...of })
const COMPOSITIONS: Readonly<Record<string, Composition>> = {
  base: made({ water: 0.1, solids: 0.9 }), fat: made({ fat: 1 }), sugar: made({ sugar: 1 }), milk: made({ water: 0.9, solids: 0.1 }),
}
const PANTRY = {
  'water': made({ water: 1 }), 'sugar': made({ sugar: 1 }), 'milk-powder': made({ water: 0.05, solids: 0.95 }),
  'khoya': made({ water: 0.3, sugar: 0.05, solids: 0.4, fat: 0.25 }),
}
const POINT: ForecastPoint = {
  timeS: 0, stage: 3, tempC: 95, panC: 120, colour: { lightness: 70, a: 5, b: 20 }, waterG: 600, heldG: 100, contentG: 1100, volumeMl: 1000,
}

/** A plan whose ingredients are of round compositions: 200 g of base, 100 g of fat, 180 g of sugar. */
function planOf(id: string, more: readonly PlanAmount[] = []): CookPlan {
  const plan = starterPlan(id)
  const amounts = plan.amounts.flatMap((one): PlanAmount[] => {
    const part = plan.dish.ingredients.find(each => each.id === one.id)?.part
    if (one.id === plan.dish.base) return [{ ...one, massG: 200, composition: COMPOSITIONS.base! }]
    if (part === 'fat') return [{ ...one, massG: 100, composition: COMPOSITIONS.fat! }]
    if (part === 'sugar') return [{ ...one, massG: 180, composition: COMPOSITIONS.sugar! }]
    if (part === 'milk') return [{ ...one, massG: 500, composition: COMPOSITIONS.milk! }]
    return []
  })
  return { ...plan, amounts: [...amounts, ...more] }
}
const semolina = planOf('sweet-water-semolina')
const sugarId = semolina.dish.ingredients.find(one => one.part === 'sugar')!.id

/** A pan of 1100 g, 500 g of it dry, on 1000 W; the plan wants 0.9 g of water for each dry gram. */
function bench(told: Partial<Bench> = {}, stage = 'take-up', more: More = []): Bench {
  const plan = told.plan ?? semolina
  return {
    plan, cook: replay(plan, storyTo(plan, stage, more)), point: POINT,
    now: { waterG: 600, solidsG: 180, fatG: 100, sugarG: 220, nutsG: 0 },
    toCome: { waterG: 0, solidsG: 0, fatG: 0, sugarG: 0, nutsG: 0 },
    aim: { waterG: 450, solidsG: 180, fatG: 120, sugarG: 200, nutsG: 0 },
    powerW: 1000, tareG: 1300, airPressurePa: 101_325, pantry: PANTRY, ...told,
  }
}
const withWater = (waterG: number, told: Partial<Bench> = {}): Bench => bench({ ...told, now: { ...bench().now, waterG } })
/** What is done, with what, how much and in how much time. */
const told = (remedies: ReturnType<typeof runny>) => remedies.map(one => [one.way, ...one.adds.map(add => `${add.ingredient} ${add.massG}`)].join(' '))

describe('what is reckoned for every remedy', () => {
  it('time to drive water off: 0.8 of the power goes into vapour, of which there are 50 W at least', () => {
    expect(drivingS(150, 1000)).toBeCloseTo(150 * LATENT_HEAT / 800, 9)
    expect(drivingS(150, 10)).toBeCloseTo(150 * LATENT_HEAT / 40, 9)
  })

  it('shares, and what goes in: whole grams, nothing below one', () => {
    expect(sharesOf(bench().now)).toEqual({ water: 600 / 1100, fat: 100 / 1100, sugar: 220 / 1100 })
    expect(some('water', 1.4, PANTRY.water)).toEqual([{ ingredient: 'water', massG: 1, composition: PANTRY.water }])
    expect(some('water', 0.99, PANTRY.water)).toEqual([])
    expect(some('water', 50, undefined)).toEqual([])
  })

  it('a balance of every part', () => {
    const adds = [{ ingredient: 'all', massG: 100, composition: made({ water: 0.1, solids: 0.2, fat: 0.3, sugar: 0.15, nuts: 0.25 }) }]
    expect(changed({ ...bench().now, nutsG: 7 }, adds, 20, 50)).toEqual({ waterG: 560, solidsG: 200, fatG: 110, sugarG: 235, nutsG: 32 })
    expect(changed(bench().now, [], 101, 601)).toMatchObject({ waterG: 0, fatG: 0 })
  })

  it('time, weight with the pan, and what it comes to', () => {
    const water = { ingredient: 'water', massG: 100, composition: PANTRY.water }
    const of = bench({ toCome: { waterG: 0, solidsG: 0, fatG: 50, sugarG: 0, nutsG: 0 } })
    const one = remedy(of, 'add-liquid', { adds: [water], drivesOffG: 40, weighs: true })
    expect(one).toMatchObject({ way: 'add-liquid', drivesOffG: 40, liftsFatG: 0, tempC: null, notes: [], grossG: 1300 + 1160 })
    expect(one.takesS).toBeCloseTo(
      40 * LATENT_HEAT / 800 + constant('mixingFloor') + 100 * SPECIFIC_HEAT.water * constant('warmedBy') / 1000, 6)
    expect(one.before.water).toBeCloseTo(600 / 1100, 9)
    expect(one.after.water).toBeCloseTo(660 / 1160, 9)
    expect(one.finishedG).toBe(Math.round(550 * 1.9))
    expect(remedy(of, 'cook-on')).toMatchObject({ takesS: null, grossG: null })
    expect(remedy(of, 'cook-on', { drivesOffG: 40 }).takesS).toBeCloseTo(40 * LATENT_HEAT / 800, 6)
    expect(remedy(of, 'cook-on', { drivesOffG: 40, takesS: null }).takesS).toBeNull()
    // Cold water takes its warmth from the fire: a weak one is taken for 50 W.
    expect(remedy({ ...of, powerW: 10 }, 'add-liquid', { adds: [water] }).takesS)
      .toBeCloseTo(constant('mixingFloor') + 100 * SPECIFIC_HEAT.water * constant('warmedBy') / 50, 6)
  })
})

describe('too wet or too dry', () => {
  it('is told against what the plan wants for all that is dry, with what is still to come', () => {
    expect(wantedWaterG(bench())).toBeCloseTo(450, 9)
    expect(wantedWaterG(bench({ toCome: { waterG: 20, solidsG: 0, fatG: 50, sugarG: 0, nutsG: 0 } }))).toBeCloseTo(475, 9)
    expect(wantedWaterG(bench({ toCome: { waterG: 900, solidsG: 0, fatG: 0, sugarG: 0, nutsG: 0 } }))).toBe(0)
  })

  it('runny: what is too much is boiled off, or bound by base at 2.5 g/g, or by milk powder', () => {
    const [off, base, powder] = runny(bench())
    expect(off).toMatchObject({ way: 'boil-off', drivesOffG: 150, grossG: 1300 + 950, finishedG: 950, notes: ['uncovered-higher', 'long-spoon'] })
    expect(told([base!, powder!])).toEqual([`bind-base ${semolina.amounts[0]!.ingredient} 67`, 'bind-powder milk-powder 150'])
    expect([base!.notes, powder!.notes]).toEqual([['roast-it-first', 'sprinkle-stir'], ['contains-milk', 'sprinkle-stir']])
    // Where no difference is seen it is 3 % of the mass; never more than four fifths of the water.
    expect(runny(withWater(452))[0]!.drivesOffG).toBe(Math.round(0.03 * 952))
    expect(runny(bench({ aim: { ...bench().aim, waterG: 0 } }))[0]!.drivesOffG).toBe(480)
  })

  it('runny: no base binds that is fresh, soaked or hardly takes water, nor powder that is not there', () => {
    const ways = (of: Bench) => runny(of).map(one => one.way)
    const soaked = { ...semolina, amounts: semolina.amounts.map(one => (one.id === semolina.dish.base ? { ...one, soakedG: 40 } : one)) }
    expect(ways(bench({ plan: soaked, pantry: {} }))).toEqual(['boil-off'])
    expect(ways(bench({ plan: planOf('winter-market-carrot') }, 'soften'))).toEqual(['boil-off', 'bind-powder'])
    expect(ways(bench({ aim: { ...bench().aim, waterG: 36 }, pantry: {} }))).toEqual(['boil-off'])
    expect(ways(bench({ aim: { ...bench().aim, waterG: 37 }, pantry: {} }))).toEqual(['boil-off', 'bind-base'])
  })

  it('dry: hot water goes back, milk before it where the dish is made with milk', () => {
    const [only, ...others] = dry(withWater(300))
    expect(others).toEqual([])
    expect(only).toMatchObject({ way: 'add-liquid', grossG: 1300 + 950, notes: ['hot', 'side-spoons', 'cover-low'] })
    expect(told([only!])).toEqual(['add-liquid water 150'])
    const milky = withWater(300, { plan: planOf('winter-market-carrot') })
    expect(told(dry(milky))).toEqual([`add-liquid milk ${Math.round(150 / 0.9)}`, 'add-liquid water 150'])
    expect(dry(milky)[0]!.grossG).toBe(1300 + 800 + Math.round(150 / 0.9))
    expect(told(dry(withWater(449)))).toEqual([`add-liquid water ${Math.round(0.03 * 949)}`])
    expect(dry(withWater(300, { pantry: {} }))).toEqual([])
  })

  it('a hard centre: what is missing of the swelling, slower where sugar is in', () => {
    const [swell] = hardGrain(bench())
    expect(told([swell!])).toEqual(['swell-on water 350'])
    expect(swell!.takesS).toBeCloseTo(240 * (1 + 2 * 220 / 820), 6)
    expect(swell!.notes).toEqual(['hot', 'side-spoons', 'cover-low'])
    const sweet = hardGrain(withWater(500))[0]!
    expect(sweet.notes).toContain('sugar-slows')
    const held = (heldG: number, solidsG = 180) => bench({ point: { ...POINT, heldG }, now: { ...bench().now, solidsG } })
    expect(told(hardGrain(held(440)))).toEqual([`swell-on water ${0.12 * 450}`])
    // What the grain can hold, 5.6 g/g, is the limit of what it lacks.
    expect(told(hardGrain(held(10, 20)))).toEqual(['swell-on water 102'])
    expect(told(hardGrain(held(500)))).toEqual(['swell-on water 60'])
  })

  it('gluey and pasty: drier, with a spoon of the dish\'s own fat', () => {
    const fat = semolina.amounts.find(one => one.composition.fat === 1)!.ingredient
    const [drier, spoon] = gluey(bench())
    expect(drier).toMatchObject({ way: 'cook-drier', drivesOffG: Math.round(0.03 * 1.5 * 1100), notes: ['uncovered-higher', 'long-spoon'] })
    expect(drier!.grossG).toBe(Math.round(1300 + 1100 - 0.03 * 1.5 * 1100))
    expect(told([spoon!])).toEqual([`fat-spoon ${fat} 33`])
    expect(spoon).toMatchObject({ takesS: 60, notes: ['warm'] })
    const [brown] = pasty(bench())
    expect(told([brown!])).toEqual([`brown-in-fat ${fat} 33`])
    expect(brown).toMatchObject({ drivesOffG: 150, grossG: 1300 + 950 + 33, notes: ['uncovered-higher', 'lift-not-mash'] })
    expect(pasty(withWater(440))[0]!.drivesOffG).toBe(Math.round(0.03 * 940))
    expect(pasty(bench({ aim: { ...bench().aim, waterG: 0 } }))[0]!.drivesOffG).toBe(480)
    expect(told(fatSpoon(bench(), 0.001))).toEqual([`fat-spoon ${fat} 10`])
  })

  it('the fat is the dish\'s own, or what is nearly all fat; without either there is no spoon', () => {
    const none = { ...semolina, amounts: semolina.amounts.filter(one => one.composition.fat < 1) }
    const butter = { id: 'extra', ingredient: 'butter', massG: 20, composition: made({ fat: 0.61, water: 0.39 }) }
    expect(fatOf(bench({ plan: { ...none, amounts: [...none.amounts, butter] } }))).toBe(butter)
    expect(fatOf(bench({ plan: { ...none, amounts: [...none.amounts, { ...butter, composition: made({ fat: 0.6, water: 0.4 }) }] } }))).toBeUndefined()
    expect(fatSpoon(bench({ plan: none }), 0.03)).toEqual([])
    expect(pasty(bench({ plan: none }))[0]!.adds).toEqual([])
  })
})

describe('fat', () => {
  it('greasy: what runs out is lifted off, or held by base at 0.9 g/g', () => {
    const [lift, bind] = greasy(bench({ point: { ...POINT, fatOutG: 30 } }))
    expect(lift).toMatchObject({ way: 'lift-off', liftsFatG: 30, takesS: 60, notes: ['tip-and-spoon'] })
    expect(lift!.after.fat).toBeCloseTo(70 / 1070, 9)
    expect(bind!.adds[0]!.massG).toBe(Math.round(30 / (0.9 * 0.9)))
    // A twentieth and a bit is seen where the forecast sees none, and never more than there is.
    expect(greasy(bench())[0]!.liftsFatG).toBe(6)
    expect(greasy(bench({ point: { ...POINT, fatOutG: 130 } }))[0]!.liftsFatG).toBe(100)
    expect(greasy(bench({ now: { ...bench().now, fatG: 16 } }))).toEqual([])
    expect(greasy(bench({ now: { ...bench().now, fatG: 17 } }))).not.toEqual([])
    expect(greasy(bench({ plan: planOf('winter-market-carrot') }, 'soften')).map(one => one.way)).toEqual(['lift-off'])
  })

  it('sticking, crumbling and flattening: a spoon of fat, warmth, cold or flour', () => {
    const fat = semolina.amounts.find(one => one.composition.fat === 1)!.ingredient
    const base = semolina.amounts.find(one => one.id === semolina.dish.base)!.ingredient
    expect(told(sticking(bench()))).toEqual(['cook-on', `fat-spoon ${fat} 22`])
    expect(told(ballsCrumble(bench()))).toEqual(['warm-through', `fat-spoon ${fat} ${Math.round(constant('binds') * 1100)}`])
    expect(ballsCrumble(bench())[0]!.takesS).toBe(120)
    expect(told(ballsFlatten(bench()))).toEqual(['chill', `more-flour ${base} ${Math.round(1100 * (1 / (1 - constant('firmer')) - 1))}`])
    expect(ballsFlatten(bench())[0]).toMatchObject({ takesS: constant('chillS'), notes: ['keep-covered'] })
  })
})

describe('what goes wrong in the roast and the milk', () => {
  const ways = (remedies: ReturnType<typeof lumpy>) => remedies.map(one => [one.way, one.takesS, ...one.notes])
  it('is put right otherwise before the turn than after it', () => {
    expect(ways(lumpy(bench({}, 'roast')))).toEqual([['press-break', null, 'lower-scrape']])
    expect(ways(lumpy(bench({}, 'pour')))).toEqual([['mash-sieve', null, 'hot-sieve'], ['press-break', null]])
    expect(ways(rawTaste(bench({}, 'roast')))).toEqual([['roast-on', null, 'low-stir-always']])
    expect(ways(rawTaste(bench({}, 'pour')))).toEqual([['cook-drier', 300, 'lower-scrape'], ['fat-spoon', 60, 'warm']])
  })

  it('starts again with base and fat of the plan where it is burnt', () => {
    const [lift, again] = scorched(bench({}, 'roast'))
    expect(lift).toMatchObject({ way: 'lift-out-clean', takesS: 60, notes: ['do-not-scrape', 'taste-after'] })
    expect(again!.adds.map(one => one.massG)).toEqual([200, 100])
    expect(again).toMatchObject({ way: 'start-again', takesS: null, notes: ['no-liquid'] })
    const none = { ...semolina, amounts: [] }
    expect(scorched(bench({ plan: none }, 'roast'))[1]!.adds).toEqual([])
  })

  it('milk is stirred on lower, or lifted off what caught', () => {
    expect(ways(milkSplit(bench()))).toEqual([['lower-stir', null, 'nothing-sour'], ['cook-through', null]])
    expect(ways(milkCatches(bench()))).toEqual([['lower-stir', null, 'scrape-not-if-brown'], ['lift-out-clean', 60, 'do-not-scrape', 'taste-after']])
  })
})

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
