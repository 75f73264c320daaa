import { describe, expect, it } from 'vitest'
import { bench, made, PANTRY, planOf, POINT, semolina, told, withWater } from '../../../test/support/handBench'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { constant } from '../../materials/constants/constants'
import { LATENT_HEAT } from '../../materials/water/latentHeat'
import { changed, drivingS, remedy, sharesOf, some, type Bench } from './bench'
import { ballsCrumble, ballsFlatten, greasy, sticking } from './fat'
import { lumpy, milkCatches, milkSplit, rawTaste, scorched } from './roast'
import { dry, fatOf, fatSpoon, gluey, hardGrain, pasty, runny, wantedWaterG } from './wetness'

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
