import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { rowOf } from '../../../test/support/plans'
import { volumesOf } from '../yield/volumes'
import { stageDish } from '../stages/stageDish'
import { CoreError } from '../../error'
import { finishedShare } from '../proportions/finishedShare'
import { measuredAmounts } from '../proportions/measuredAmounts'
import { capacityMl } from '../../materials/vessel/capacityMl'
import { panFit } from '../../materials/vessel/panFit'
import { baseOf, type ScaleFacts } from './baseOf'
import { allFills } from './marks'
import { ownedScales } from './ownedScales'
import { parseScale } from './parseScale'

const cup = { id: 'glass', name: 'Verandah glass', volumeMl: 180 }
const measures = [cup, { id: 'tbsp', name: 'Tablespoon', volumeMl: 15 }, { id: 'tsp', name: 'Teaspoon', volumeMl: 5 }]
const starter = (id: string) => STARTER_DISHES.find(dish => dish.id === id)!
const say = (text: string, id = 'ember-sweet-potato') => parseScale(text, { dish: starter(id), rowOf, cup, measures })
const pan = { innerDiameterMm: 260, depthMm: 75 }
function factsOf(id: string): ScaleFacts {
  const dish = starter(id)
  const volumes = volumesOf(stageDish(dish), 100, rowOf)
  return {
    base: dish.base,
    ingredients: dish.ingredients,
    baseG: 200,
    usualBaseG: dish.usual.baseG,
    portionG: dish.portionG,
    finishedPerBase: finishedShare(dish, rowOf).perBase,
    greatestMlPerBase: volumes.greatestMl / 100,
    density: volumes.density,
    pan,
  }
}

describe('what can be filled', () => {
  it('is cups to their marks, spoons to their halves, and a few spoons on a cup', () => {
    const fills = allFills([{ id: 'cup', name: 'Cup', volumeMl: 60 }, { id: 'tsp', name: 'Teaspoon', volumeMl: 5 }])
    const said = fills.map(
      fill =>
        `${Math.round(fill.volumeMl * 100) / 100} ${fill.parts.map(part => `${part.text} ${part.measure}`).join(' + ')}`,
    )
    // By hand, up to a whole cup: the teaspoon's quarter, its halves to four; thirds and quarters of 60 ml with one or
    // two spoons (three are a quarter of it); where both give one volume, the one that fills one thing.
    expect(said.slice(0, said.findIndex(one => one.startsWith('60 ')) + 1)).toEqual([
      '1.25 ¼ tsp',
      '2.5 ½ tsp',
      '5 1 tsp',
      '7.5 1½ tsp',
      '10 2 tsp',
      '12.5 2½ tsp',
      '15 ¼ cup',
      '17.5 3½ tsp',
      '20 ⅓ cup',
      '25 ¼ cup + 2 tsp',
      '30 ½ cup',
      '35 ½ cup + 1 tsp',
      '40 ⅔ cup',
      '45 ¾ cup',
      '50 ⅔ cup + 2 tsp',
      '55 ¾ cup + 2 tsp',
      '60 1 cup',
    ])
    expect(fills.at(-1)!.volumeMl).toBe(24 * 60)
    expect(allFills([{ id: 'ladle', name: 'Ladle', volumeMl: 59 }]).map(fill => fill.volumeMl / 59))
      .toEqual([0.25, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4])
    // Spoons on top of cups end below a litre and a half.
    const large = allFills([{ id: 'jug', name: 'Jug', volumeMl: 480 }, { id: 'tsp', name: 'Teaspoon', volumeMl: 5 }])
    expect(Math.max(...large.filter(fill => fill.parts.length > 1).map(fill => fill.volumeMl))).toBe(2.75 * 480 + 15)
  })
})

describe('how much is wanted', () => {
  it.each([
    ['×2', { by: 'times', factor: 2 }],
    ['3x', { by: 'times', factor: 3 }],
    ['double', { by: 'times', factor: 2 }],
    ['triple', { by: 'times', factor: 3 }],
    ['6 people', { by: 'people', people: 6 }],
    ['for 12 guests', { by: 'people', people: 12 }],
    ['fill the pan', { by: 'pan' }],
    ['1.2 kg finished', { by: 'finished', massG: 1200 }],
    ['800 g of halwa', { by: 'finished', massG: 800 }],
    ['24 balls of 30 g', { by: 'balls', count: 24, eachG: 30 }],
    ['12 balls', { by: 'balls', count: 12, eachG: null }],
    ['tray 20 x 15 x 2 cm', { by: 'tray', tray: { shape: 'rectangle', widthMm: 200, lengthMm: 150 }, depthMm: 20 }],
    ['round tray 26 cm, 1.5 cm', { by: 'tray', tray: { shape: 'round', widthMm: 260, lengthMm: 260 }, depthMm: 15 }],
    ['930 g sweet potato, peeled', { by: 'on-hand', id: 'vegetable', massG: 930, asBought: false }],
    ['200 g milk', { by: 'on-hand', id: 'milk', massG: 200, asBought: false }],
  ])('understands %s', (text, wanted) => {
    expect(say(text)).toEqual(wanted)
  })

  it('takes a weight of produce as bought unless it says otherwise, and counts pieces by their size', () => {
    // Dry goods weigh what they weigh, whether they are said to be bought or not; people stay people beside any name.
    expect(say('200 g milk, as bought')).toEqual({ by: 'on-hand', id: 'milk', massG: 200, asBought: true })
    expect(say('250 g suji', 'sweet-water-semolina')).toEqual({ by: 'base', massG: 250 })
    expect(say('250 g suji, as bought', 'sweet-water-semolina')).toEqual({ by: 'base', massG: 250 })
    expect(say('1 kg sweet potatoes, grated')).toEqual({ by: 'on-hand', id: 'vegetable', massG: 1000, asBought: false })
    expect(say('750 g', 'sweet-water-semolina')).toEqual({ by: 'base', massG: 750 })
    expect(say('12', 'sweet-water-semolina')).toEqual({ by: 'base', massG: 12 * 180 * 0.71 })
    expect(say('1 kg sweet potatoes')).toEqual({ by: 'on-hand', id: 'vegetable', massG: 1000 * 0.86, asBought: true })
    expect(say('930 g pumpkin, peeled', 'cart-wheel-pumpkin')).toMatchObject({
      by: 'on-hand',
      massG: 930,
      asBought: false,
    })
    expect(say('3 sweet potatoes')).toEqual({ by: 'on-hand', id: 'vegetable', massG: 3 * 200 * 0.86, asBought: false })
    expect(say('9 large pods', 'monsoon-jackfruit')).toMatchObject({ by: 'on-hand', id: 'fruit', massG: 9 * 45 * 0.68 })
    expect(say('2 glasses', 'sweet-water-semolina')).toEqual({ by: 'base', massG: 2 * 180 * 0.71 })
    expect(say('2 glasses suji', 'sweet-water-semolina')).toEqual({ by: 'base', massG: 2 * 180 * 0.71 })
  })

  it('knows the trays of the house by name, to the brim or to a depth', () => {
    const trays = [{ name: 'Baking tin', shape: 'rectangle' as const, widthMm: 180, lengthMm: 240, depthMm: 35 }]
    const tray = (text: string) => parseScale(text, { dish: starter('tide-line-coconut'), rowOf, cup, measures, trays })
    expect(tray('baking tin')).toEqual({
      by: 'tray',
      tray: { shape: 'rectangle', widthMm: 180, lengthMm: 240 },
      depthMm: 35,
    })
    expect(tray('baking tin, 2 cm')).toMatchObject({ depthMm: 20 })
  })

  it.each([
    '',
    'much',
    '0',
    '-3 kg',
    '3 elephants',
    'tray',
    '0x',
    'x 1000',
    '<script>',
    '12 12 12',
    '24 balls of gold',
  ])('refuses %j with a refusal of its own', text => {
    expect(() => say(text)).toThrow(CoreError)
  })

  it('never throws anything else', () => {
    fc.assert(fc.property(fc.string({ maxLength: 90 }), (text) => {
      try {
        say(text)
      }
      catch (error) {
        expect(error).toBeInstanceOf(CoreError)
      }
    }), { numRuns: 500 })
  })
})

describe('the base that is asked for', () => {
  const facts = factsOf('ember-sweet-potato')

  it('gives what was wanted back', () => {
    expect(baseOf({ by: 'people', people: 6 }, facts) * facts.finishedPerBase).toBeCloseTo(6 * facts.portionG)
    expect(baseOf({ by: 'finished', massG: 900 }, facts) * facts.finishedPerBase).toBeCloseTo(900)
    expect(baseOf({ by: 'times', factor: 2 }, facts)).toBeCloseTo(2 * facts.usualBaseG)
    expect(baseOf({ by: 'on-hand', id: 'milk', massG: 200, asBought: false }, facts)).toBeCloseTo(500)
    expect(baseOf({ by: 'balls', count: 10, eachG: 40 }, facts) * facts.finishedPerBase).toBeCloseTo(400)
    const tray = { shape: 'rectangle', widthMm: 200, lengthMm: 150 } as const
    expect(baseOf({ by: 'tray', tray, depthMm: 20 }, facts) * facts.finishedPerBase / facts.density).toBeCloseTo(600)
  })

  it('fills the pan as far as it can be stirred, for every starter dish', () => {
    for (const dish of STARTER_DISHES) {
      const here = factsOf(dish.id)
      const baseG = baseOf({ by: 'pan' }, here)
      expect(panFit(baseG * here.greatestMlPerBase, pan).share, dish.id).toBeCloseTo(0.75, 2)
      expect(baseG * here.greatestMlPerBase).toBeLessThan(capacityMl(pan))
    }
  })

  it('is refused outside of a kitchen, and for what is not there', () => {
    expect(() => baseOf({ by: 'base', massG: 3 }, facts)).toThrow(CoreError)
    expect(() => baseOf({ by: 'people', people: 5000 }, facts)).toThrow(CoreError)
    expect(() => baseOf({ by: 'on-hand', id: 'gold', massG: 30, asBought: false }, facts)).toThrow(CoreError)
    expect(() => baseOf({ by: 'pan' }, { ...facts, pan: null })).toThrow(CoreError)
    expect(() => baseOf({ by: 'tray', tray: { shape: 'round', widthMm: 0, lengthMm: 0 }, depthMm: 5 }, facts)).toThrow(
      CoreError,
    )
  })
})

describe('the marks a household owns', () => {
  it('are counts of its cups and spoons, each once, rising', () => {
    const fills = allFills(measures)
    fills.forEach((fill, i) => {
      if (i > 0) expect(fill.volumeMl).toBeGreaterThanOrEqual(fills[i - 1]!.volumeMl)
      const sum = fill.parts.reduce(
        (all, part) => all + part.count * measures.find(one => one.id === part.measure)!.volumeMl,
        0,
      )
      expect(sum).toBeCloseTo(fill.volumeMl, 9)
      expect(fill.parts.length).toBeLessThanOrEqual(2)
    })
    expect(fills.some(fill => Math.abs(fill.volumeMl - 60) < 1e-9 && fill.parts.length === 1)).toBe(true)
  })
})

describe('a scale that lands on real marks', () => {
  const rows = (id: string, baseG: number) =>
    measuredAmounts(starter(id), baseG, INGREDIENTS, cup, []).map(one => ({
      id: one.id,
      massG: one.massG,
      bulkDensity: one.row.bulkDensity,
    }))

  it.each(STARTER_DISHES.map(dish => dish.id))('%s: states its distortion truly, best first', (id) => {
    const given = rows(id, starter(id).usual.baseG)
    const { base } = starter(id)
    const scales = ownedScales(given, base, measures)
    expect(scales.length).toBeGreaterThanOrEqual(1)
    expect(scales.length).toBeLessThanOrEqual(3)
    for (const scale of scales) {
      const ratio = (amounts: readonly { id: string, massG: number }[], one: string): number =>
        amounts.find(row => row.id === one)!.massG / amounts.find(row => row.id === base)!.massG
      const worst = Math.max(
        ...scale.amounts
          .filter(one => one.fill)
          .map(one => Math.abs(ratio(scale.amounts, one.id) / ratio(given, one.id) - 1)),
      )
      expect(worst).toBeCloseTo(scale.distortion, 9)
      expect(scale.factor).toBeGreaterThan(0.79)
      expect(scale.factor).toBeLessThan(1.26)
      expect(scale.distortion).toBeLessThan(0.2)
    }
  })

  it('distorts no more than any other fill of the same base would: a slow search agrees', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.05, max: 4, noNaN: true }), { minLength: 1, maxLength: 5 }),
        fc.double({ min: 120, max: 900, noNaN: true }),
        (ratios, baseG) => {
          const given = [
            { id: 'base', massG: baseG, bulkDensity: 0.7 },
            ...ratios.map((ratio, i) => ({ id: `i${i}`, massG: ratio * baseG, bulkDensity: 0.8 })),
          ]
          const fills = allFills(measures)
          for (const scale of ownedScales(given, 'base', measures)) {
            for (const one of given.slice(1)) {
              const found = scale.amounts.find(row => row.id === one.id)!
              if (!found.fill) continue
              const off = (volumeMl: number): number =>
                Math.abs((volumeMl * one.bulkDensity) / scale.baseG / (one.massG / baseG) - 1)
              expect(off(found.fill.volumeMl)).toBeLessThanOrEqual(
                Math.min(...fills.map(fill => off(fill.volumeMl))) + 1e-9,
              )
            }
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  it('keeps proportions that lie on marks already', () => {
    const exact = [
      { id: 'base', massG: 180 * 0.7, bulkDensity: 0.7 },
      { id: 'fat', massG: 90 * 0.9, bulkDensity: 0.9 },
      { id: 'water', massG: 540, bulkDensity: 1 },
    ]
    const [best] = ownedScales(exact, 'base', measures)
    expect(best!.factor).toBeCloseTo(1)
    expect(best!.distortion).toBeCloseTo(0)
  })

  it('is refused where nothing near lands on a mark, or there is no base', () => {
    expect(() => ownedScales([{ id: 'base', massG: 0.01, bulkDensity: 0.7 }], 'base', [cup])).toThrow(CoreError)
    expect(() => ownedScales([], 'base', measures)).toThrow(CoreError)
  })
})
