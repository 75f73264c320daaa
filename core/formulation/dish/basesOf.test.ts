import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { DishCardSchema } from '../../../contracts/dish'
import { rowOf, starterPlan } from '../../../test/support/plans'
import { familyOf } from '../family/families'
import { basesNumbers } from '../../process/program/basesNumbers'
import { additionsOf } from '../../process/program/additionsOf'
import { coloursOf } from '../../process/program/coloursOf'
import { forecastCook } from '../../process/forecast/forecastCook'
import { finishedShare } from '../proportions/finishedShare'
import { liquidAccount } from '../proportions/liquidAccount'
import { measuredAmounts } from '../proportions/measuredAmounts'
import { inRatio, parseRatio } from '../proportions/ratio'
import { roleRatio } from '../proportions/roleRatio'
import { applySwap } from '../swaps/applySwap'
import { dishSteps } from '../../day/spread/dishSteps'
import { stageSpans } from '../../day/spread/stageSpans'
import { basesPerBase, preparationOf, secondBases } from './basesOf'
import type { DishCard } from './dish'
import { goesNowhere } from './goesNowhere'
import { partsFor, preparationsFor } from './partsFor'
import { stageDish } from '../stages/stageDish'
import { troublesOf } from './troublesOf'
import { inPart, inPreparation, withIngredient } from './withIngredient'

const starter = (id: string): DishCard => STARTER_DISHES.find(one => one.id === id)!
const cup = { id: 'cup', name: 'cup', volumeMl: 180 }
const ground = starter('three-to-one-mung')
const withCoconut = starter('palm-shade-mung')
const twoFlours = withIngredient(starter('blue-door-gram'), rowOf('rice-flour'), 'base', 0.5)
const pulp = withIngredient(starter('first-offering-semolina'), rowOf('mango-canned'), 'base', 1)
const composition = (id: string) => rowOf(id).composition
const stageOf = (card: DishCard, id: string) => stageDish(card).stages.find(one => one.id === id)!

describe('two bases in one dish', () => {
  it.each([
    ['ground together', ground, 'roast'],
    ['a purée with coconut', withCoconut, 'soften'],
    ['two flours', twoFlours, 'roast'],
    ['pulp with a grain', pulp, 'take-up'],
  ] as const)('%s: each goes in, with its own preparation', (_, card, into) => {
    expect(troublesOf(card)).toEqual([])
    expect(DishCardSchema.parse(card)).toEqual(card)
    const dish = stageDish(card)
    expect(goesNowhere(card, dish.stages)).toEqual([])
    const [second] = secondBases(card)
    expect(stageOf(card, into).adds).toContainEqual({ ingredient: second!.id, share: 1 })
    expect(preparationOf(card, second!)).toBe(second!.asBase.preparation)
  })

  it('ground together are got ready together; one with its own way has its own stages beside', () => {
    expect(stageOf(ground, 'grind').handles).toEqual(['lentil', 'rice'])
    const apart = inPreparation(ground, 'rice', 'as-bought')
    expect(stageOf(apart, 'grind').handles).toEqual(['lentil'])
    const puree = withIngredient(starter('brick-kiln-wheat'), rowOf('mung-split'), 'base', 0.5)
    const boiled = inPreparation(puree, 'mung-split', 'cooked-puree')
    expect(
      stageDish(boiled)
        .stages.filter(one => one.phase === 'before')
        .map(one => one.id),
    ).toEqual(expect.arrayContaining(['soak-2', 'boil-soft-2', 'puree-2']))
    expect(stageOf(boiled, 'boil-soft-2')).toMatchObject({ handles: ['mung-split'], cautions: ['scald'] })
  })

  it('a day gets the second one ready in time for where it goes in, beside the first', () => {
    const puree = inPreparation(
      withIngredient(starter('brick-kiln-wheat'), rowOf('mung-split'), 'base', 0.5),
      'mung-split',
      'cooked-puree',
    )
    const dish = stageDish(puree)
    const steps = dishSteps(dish, stageSpans(dish, { stages: [], sides: [] }), {
      id: 'd1',
      meal: 'm1',
      serve: 'warm',
      large: false,
    })
    expect(steps.activities.map(one => one.id)).toEqual(expect.arrayContaining(['wash-2', 'boil-soft-2', 'puree-2']))
    expect(steps.lags.find(lag => lag.from === 'puree-2')).toMatchObject({ to: 'take-up', kind: 'paste', max: 60 })
    expect(steps.lags.find(lag => lag.from === 'wash-2')).toMatchObject({ to: 'boil-soft-2', min: 120 })
  })

  it('parts and spans are to both where they are of a kind, and to the grain alone where pulp comes to it', () => {
    expect(basesPerBase(ground)).toBeCloseTo(1.333, 9)
    expect(roleRatio(ground, 'fat', composition)).toBeCloseTo(1 / 1.333, 9)
    expect(basesPerBase(pulp)).toBe(1)
    const shelf = measuredAmounts(ground, 180, INGREDIENTS, cup, []).filter(one => one.asBase)
    expect(shelf.map(one => [one.id, Math.round(one.massG)])).toEqual([['rice', 60]])
  })

  it('a ratio speaks of each, or of both together', () => {
    const of = (text: string, shelf: readonly string[]) =>
      inRatio({ dish: ground, baseG: 180 }, parseRatio(text)!, shelf, rowOf).dish
    const each = of('3 : 1 : 4 : 5 : 12 by weight', ['lentil', 'rice', 'ghee', 'jaggery', 'water'])
    expect(each.ingredients.map(one => one.perBase).slice(0, 5)).toEqual([1, 0.33333, 1.33333, 1.66667, 4])
    const both = of('1 : 1 : 1 : 3 by weight', [])
    const fat = both.ingredients.find(one => one.part === 'fat')!.perBase
    expect(fat).toBeCloseTo(basesPerBase(both), 4)
    expect(both.ingredients.find(one => one.id === 'rice')!.perBase).toBeCloseTo(0.333, 3)
  })

  it('each brings its own moisture: soaked rice its water, coconut its own, dry flour what leaves in the roast', () => {
    const soaked = inPreparation(
      { ...ground, choices: { ...ground.choices, preparation: 'raw-paste' } },
      'rice',
      'raw-paste',
    )
    const brings = (card: DishCard, id: string): number =>
      liquidAccount(card, 1000, rowOf).lines.find(one => one.id === id)?.waterG ?? 0
    expect(brings(soaked, 'rice')).toBeCloseTo(333 * 0.35 * 0.97, 0)
    expect(brings(ground, 'rice')).toBe(0)
    expect(brings(withCoconut, 'coconut')).toBeCloseTo(500 * rowOf('coconut-fresh').nutrients.water / 100, 0)
    const without = { ...twoFlours, ingredients: twoFlours.ingredients.filter(one => !one.asBase) }
    expect(finishedShare(twoFlours, rowOf).perBase - finishedShare(without, rowOf).perBase).toBeCloseTo(
      0.5 * (1 - (0.9 * rowOf('rice-flour').nutrients.water) / 100),
      3,
    )
    const [rice] = additionsOf(starterPlan('', { dish: stageDish(soaked), baseG: 180 }), {
      adds: [{ ingredient: 'rice', share: 1 }],
    })
    expect(rice).toMatchObject({ base: true, dry: false })
    expect(
      additionsOf(starterPlan('', { dish: stageDish(pulp), baseG: 200 }), {
        adds: [{ ingredient: 'mango-canned', share: 1 }],
      })[0],
    ).toMatchObject({ base: false, dry: false })
  })

  it('swell, brown and look as both do by their weight, and the forecast follows', () => {
    const plan = starterPlan('', { dish: stageDish(twoFlours), baseG: 250 })
    const numbers = basesNumbers(plan, false)
    const [gram, rice] = [familyOf('gram-flour'), familyOf('other-flour')]
    const solidsOf = (flour: (one: { id: string }) => boolean): number =>
      plan.amounts.filter(flour).reduce((sum, one) => sum + one.massG * one.composition.solids, 0)
    const second = twoFlours.ingredients.find(one => one.asBase)!.id
    const [ofGram, ofRice] = [solidsOf(one => one.id === twoFlours.base), solidsOf(one => one.id === second)]
    const mean = (of: number, and: number): number => (ofGram * of + ofRice * and) / (ofGram + ofRice)
    expect(numbers.mostWaterPerSolids).toBeCloseTo(mean(gram.mostWaterPerSolids, rice.mostWaterPerSolids), 9)
    // Water goes in through the grain's surface: radii by their squares.
    expect(numbers.grainRadiusMm ** 2).toBeCloseTo(mean(gram.grainRadiusMm ** 2, rice.grainRadiusMm ** 2), 9)
    expect(gram.mostWaterPerSolids).not.toBe(rice.mostWaterPerSolids)
    const alone = starterPlan('blue-door-gram')
    expect(coloursOf(plan).rawLightness).toBeGreaterThan(coloursOf(alone).rawLightness)
    const ends = (of: typeof plan) => forecastCook(of, [], 0, 128).finishedG.middle
    expect(ends(plan)).toBeGreaterThan(
      ends(
        starterPlan('', {
          dish: stageDish({ ...twoFlours, ingredients: twoFlours.ingredients.filter(one => !one.asBase) }),
          baseG: 250,
        }),
      ) + 80,
    )
  })

  it('grain does not come to what is cooked down, nor pulp to dry balls: it is said', () => {
    const late = withIngredient(starter('winter-market-carrot'), rowOf('semolina-medium'), 'base', 0.1)
    expect(troublesOf(late).map(one => one.code)).toContain('grain-is-the-first-base')
    const wet = withIngredient(starter('marble-gram-balls'), rowOf('mango-canned'), 'base', 0.3)
    expect(troublesOf(wet).map(one => one.code)).toContain('wet-in-dry-balls')
    expect(troublesOf(inPreparation(twoFlours, 'rice-flour', 'cooked-puree')).map(one => one.code)).toContain(
      'preparation-is-not-for-this',
    )
  })

  it('is offered for what belongs to a family, got ready as that is or as the first', () => {
    expect(partsFor(rowOf('rice-flour'))).toContain('base')
    expect(partsFor(rowOf('salt'))).not.toContain('base')
    expect(() => withIngredient(ground, rowOf('salt'), 'base', 0.1)).toThrow()
    expect(preparationsFor(ground, 'other-flour')).toEqual(['as-bought', 'dry-ground'])
    const helper = withIngredient(ground, rowOf('rice-flour'), 'helper', 0.1)
    expect(inPart(helper, 'rice-flour', 'base', rowOf('rice-flour')).ingredients.at(-1)).toMatchObject({
      part: 'base',
      asBase: { family: 'other-flour' },
    })
    expect(
      inPart(ground, 'rice', 'helper', rowOf('rice-short')).ingredients.find(one => one.id === 'rice')!.asBase,
    ).toBeUndefined()
  })

  it('what is swapped for a second base is got ready as that was', () => {
    const swapped = applySwap(
      ground,
      {
        swap: 'x',
        changes: [
          { id: 'rice', ingredient: 'rice-short', before: 0.333, after: 0 },
          { id: 'rice-flour', ingredient: 'rice-flour', before: 0, after: 0.333 },
        ],
      } as never,
      rowOf,
    )
    expect(swapped.ingredients.find(one => one.ingredient === 'rice-flour')).toMatchObject({
      part: 'base',
      asBase: { family: 'other-flour', preparation: 'dry-ground' },
    })
  })

  it('is measured in the first kitchen without a word about what is missing', () => {
    for (const card of [ground, withCoconut]) {
      expect(
        measuredAmounts(card, card.usual.baseG, INGREDIENTS, FIRST_KITCHEN.measures[0]!, []).every(
          one => one.massG > 0,
        ),
      ).toBe(true)
    }
  })
})
