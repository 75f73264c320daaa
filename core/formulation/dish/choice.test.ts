import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { rowOf, starter } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { FAMILY_IDS } from '../family/family'
import { boundaryIndex } from './boundaryIndex'
import { doneIndex } from './doneIndex'
import { mainLine } from './mainLine'
import { mainVessel } from './mainVessel'
import { sideStages } from './sideStages'
import { usualChoices } from './usualChoices'
import { usualKept } from './usualKept'
import { withChoice } from './withChoice'

const card = (id: string) => STARTER_DISHES.find(dish => dish.id === id)!
const liquids = (dish: {
  readonly ingredients: readonly { readonly part?: string | undefined, readonly perBase: number }[]
}) =>
  dish.ingredients
    .filter(one => ['water', 'milk', 'juice'].includes(one.part ?? ''))
    .map(one => [one.part, one.perBase])

describe('another answer', () => {
  it('changes the liquid and keeps its total', () => {
    const water = card('sweet-water-semolina')
    expect(liquids(withChoice(water, { liquid: 'milk' }, rowOf))).toEqual([['milk', 4.2]])
    expect(liquids(withChoice(water, { liquid: 'water-then-milk' }, rowOf))).toEqual([['water', 2.1], ['milk', 2.1]])
    expect(liquids(withChoice(water, { liquid: 'juice' }, rowOf))).toEqual([['juice', 2.1], ['water', 2.1]])
    expect(liquids(withChoice(water, { liquid: 'none' }, rowOf))).toEqual([])
  })

  it('puts the liquid where the old one stood, and in the middle of the span where there was none', () => {
    expect(withChoice(card('sweet-water-semolina'), { liquid: 'milk' }, rowOf).ingredients[3]).toMatchObject({
      ingredient: 'milk',
    })
    const balls = withChoice(card('marble-gram-balls'), { liquid: 'water', form: 'soft', sugar: 'in-liquid' }, rowOf)
    expect(liquids(balls)[0]![1]).toBeGreaterThan(1.5)
  })

  it('takes powdered sugar where it is rubbed in, and grain where it is dissolved', () => {
    const dry = withChoice(card('brick-kiln-wheat'), { sugar: 'off-fire', liquid: 'none', form: 'balls' }, rowOf)
    expect(dry.ingredients.map(one => one.ingredient)).toContain('sugar-powdered')
    expect(
      withChoice(dry, { sugar: 'in-liquid', liquid: 'water', form: 'soft' }, rowOf).ingredients.map(
        one => one.ingredient,
      ),
    ).toContain('sugar')
  })

  it('brings water for a syrup', () => {
    expect(liquids(withChoice(card('tide-line-coconut'), { sugar: 'syrup' }, rowOf))).toEqual([
      ['milk', 0.4],
      ['water', 0.4],
    ])
  })

  it('changes nothing else', () => {
    const dish = card('long-spoon-mung')
    expect(withChoice(dish, { finish: 'covered' }, rowOf)).toEqual({
      ...dish,
      choices: { ...dish.choices, finish: 'covered' },
    })
    expect(withChoice(dish, {}, rowOf)).toEqual(dish)
  })
})

describe('the usual school', () => {
  it('keeps lentils dry where they are rolled or set, and powder for what is rolled', () => {
    expect(usualChoices('lentil', 'balls')).toMatchObject({
      preparation: 'dry-ground',
      sugar: 'off-fire',
      liquid: 'none',
    })
    expect(usualChoices('gram-flour', 'slab')).toMatchObject({ sugar: 'syrup', finish: 'stirred' })
    expect(usualChoices('coconut-nut')).toMatchObject({ form: 'slab', sugar: 'into-reduced' })
    expect(usualChoices('vegetable', 'balls')).toMatchObject({ form: 'balls', sugar: 'into-reduced' })
  })
})

describe('lines and vessels', () => {
  it('the main line leaves out what is before, beside and after the fire', () => {
    const dish = starter('granary-chickpea')
    expect(mainLine(dish).map(stage => stage.id)).toEqual(['roast', 'pour', 'take-up', 'enrich', 'rest'])
    expect(sideStages(dish).map(stage => stage.id)).toEqual(['syrup', 'nuts-last'])
    expect(mainVessel(dish)).toBe('pan')
    expect(doneIndex(dish)).toBe(4)
  })

  it('a dish without a rest is done at its end, and turns as it leaves the fire', () => {
    const dish = starter('marble-gram-balls')
    expect(doneIndex(dish)).toBe(mainLine(dish).length)
    expect(mainLine(dish)[boundaryIndex(dish, dish.keystone)]!.id).toBe('cool')
  })

  it('a slurry turns once it has thickened', () => {
    const dish = starter('window-pane-wheat')
    expect(mainLine(dish)[boundaryIndex(dish, dish.keystone) - 1]!.id).toBe('thicken')
  })

  it('a pressure pan does not become the vessel in which a dish turns', () => {
    expect(mainLine(starter('cellar-beetroot'))[0]!.vessel).toBe('pressure-pan')
    expect(mainVessel(starter('cellar-beetroot'))).toBe('pan')
  })
})

describe('the water a dish keeps before anybody has cooked it', () => {
  it('is nearly all of what is poured on grain, little of fresh produce, all where nothing is poured', () => {
    for (const family of FAMILY_IDS) {
      const { share, spread } = usualKept(family, usualChoices(family))
      expect(share).toBeGreaterThan(0)
      expect(share + spread).toBeLessThanOrEqual(1)
    }
    expect(usualKept('semolina', { liquid: 'water' }).share).toBeGreaterThan(
      usualKept('vegetable', { liquid: 'milk' }).share,
    )
    expect(usualKept('gram-flour', { liquid: 'none' }).share).toBeGreaterThan(
      usualKept('gram-flour', { liquid: 'water' }).share,
    )
    expect(() => usualKept('pasta', { liquid: 'none' })).toThrow(CoreError)
  })
})
