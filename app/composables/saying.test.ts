import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { volumesOf } from '../../core/formulation/yield/volumes'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { finishedShare } from '../../core/formulation/proportions/finishedShare'
import { rowOf } from '../../test/support/plans'
import { sayScale, type SaidAgainst } from './saying'

function against(id: string): SaidAgainst {
  const card = STARTER_DISHES.find(dish => dish.id === id)!
  const volumes = volumesOf(stageDish(card), 100, rowOf)
  return {
    card,
    rowOf,
    shelf: card.ingredients.filter(one => one.part !== 'spice' && one.part !== 'nuts').map(one => one.id),
    cup: FIRST_KITCHEN.measures[0]!,
    kitchen: FIRST_KITCHEN,
    facts: {
      base: card.base,
      ingredients: card.ingredients,
      baseG: 250,
      usualBaseG: card.usual.baseG,
      portionG: card.portionG,
      finishedPerBase: finishedShare(card, rowOf).perBase,
      greatestMlPerBase: volumes.greatestMl / 100,
      density: volumes.density,
      pan: FIRST_KITCHEN.pans[0]!,
    },
  }
}

describe('what is said to make a dish from', () => {
  it('gives the base and tells what was understood', () => {
    expect(sayScale('930 g sweet potato, peeled', against('ember-sweet-potato'))).toEqual({
      baseG: 930,
      heard: 'From 930 g of sweet potato, ready to go in.',
    })
    expect(sayScale('1 kg sweet potatoes', against('ember-sweet-potato'))).toMatchObject({
      heard: expect.stringContaining('Say "peeled" if it is.') as string,
    })
    expect(sayScale('double', against('brick-kiln-wheat'))).toEqual({
      baseG: 500,
      heard: '2 times the usual amount of the dish.',
    })
    expect(sayScale('24 balls', against('marble-gram-balls'))).toMatchObject({
      heard: 'Balls of 30 g; say "of 25 g" for others.',
    })
    expect(sayScale('square tray', against('tide-line-coconut'))).toMatchObject({
      heard: 'A layer of 30 mm in a tray of 20 × 20 cm.',
    })
    expect(sayScale('fill the pan', against('sweet-water-semolina'))).toMatchObject({
      heard: expect.stringContaining('room to stir') as string,
    })
  })

  it('refuses with what happened, what is safe and what to do', () => {
    for (const text of ['much', '-1 kg', '0', '900 kg', '9000 people']) {
      const said = sayScale(text, against('brick-kiln-wheat'))
      expect(said && 'trouble' in said ? said.trouble : '', text).toContain('Nothing was changed.')
    }
    const noPan = against('brick-kiln-wheat')
    expect(sayScale('fill the pan', { ...noPan, facts: { ...noPan.facts!, pan: null } })).toMatchObject({
      trouble: expect.stringContaining('no pan is chosen') as string,
    })
  })

  it('takes a tray whose sizes are said in two units', () => {
    expect(sayScale('tray 20 x 20 cm, 12 mm', against('tide-line-coconut'))).toMatchObject({
      heard: 'A layer of 12 mm in a tray of 20 × 20 cm.',
    })
    expect(sayScale('tray 200 x 300 mm, 2 cm', against('tide-line-coconut'))).toMatchObject({
      heard: 'A layer of 20 mm in a tray of 20 × 30 cm.',
    })
    expect(sayScale('tray 20 x 20 x 2', against('tide-line-coconut'))).toMatchObject({
      heard: 'A layer of 20 mm in a tray of 20 × 20 cm.',
    })
  })

  it('takes a ratio, by cup or by weight, and says what each part was taken for', () => {
    const asked = against('sweet-water-semolina')
    const byCup = sayScale('1 : 1 : 1 : 3', asked)
    expect(byCup).toMatchObject({
      baseG: 250,
      heard: expect.stringContaining('1 semolina, 1 ghee, 1 sugar, 3 water') as string,
    })
    const dish = (byCup as { dish: NonNullable<SaidAgainst['card']> }).dish
    const volume = (id: string): number =>
      dish.ingredients.find(one => one.id === id)!.perBase
      / rowOf(dish.ingredients.find(one => one.id === id)!.ingredient).bulkDensity
    expect(volume('water') / volume(dish.base)).toBeCloseTo(3, 3)
    expect(volume('ghee') / volume(dish.base)).toBeCloseTo(1, 3)
    const byWeight = sayScale('1:1:1.5:4 by weight', asked) as { dish: NonNullable<SaidAgainst['card']> }
    expect(byWeight.dish.ingredients.find(one => one.id === 'water')!.perBase).toBe(4)
    expect(byWeight.dish.ingredients.find(one => one.id === 'cashew')).toEqual(
      asked.card!.ingredients.find(one => one.id === 'cashew'),
    )
    expect(sayScale('1:1:1:1:1:1:1', asked)).toMatchObject({
      trouble: expect.stringContaining('say 4, for semolina : ghee : sugar : water') as string,
    })
    expect(sayScale('1:0:1:3', asked)).toMatchObject({
      trouble: expect.stringContaining('Nothing was changed.') as string,
    })
  })

  it('takes what is on hand from the store, and says what runs out and what was not counted', () => {
    const asked = against('sweet-water-semolina')
    const base = asked.card!.ingredients.find(one => one.id === asked.card!.base)!.ingredient
    const item = (ingredient: string, massG: number) => ({
      id: ingredient,
      ingredient,
      massG,
      gotOn: 1,
      openedOn: null,
      useBy: null,
    })
    const stocked = (...store: ReturnType<typeof item>[]) =>
      sayScale('what is on hand', { ...asked, kitchen: { ...FIRST_KITCHEN, store } })
    expect(stocked(item(base, 1000), item('sugar', 105))).toEqual({
      baseG: 105 / asked.card!.ingredients.find(one => one.ingredient === 'sugar')!.perBase,
      heard: expect.stringMatching(/sugar runs out first.*Not counted.*ghee/) as string,
    })
    expect(stocked(item('sugar', 500))).toMatchObject({
      trouble: expect.stringContaining('The store knows of no semolina') as string,
    })
  })

  it('says nothing to nothing', () => {
    expect(sayScale('  ', against('brick-kiln-wheat'))).toBeNull()
    expect(sayScale('2 cups', { ...against('brick-kiln-wheat'), facts: null })).toBeNull()
  })
})
