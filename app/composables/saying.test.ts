import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { volumesOf } from '../../core/comes/volumes'
import { stageDish } from '../../core/dish/stageDish'
import { finishedShare } from '../../core/proportions/finishedShare'
import { rowOf } from '../../test/support/plans'
import { sayScale, type SaidAgainst } from './saying'

function against(id: string): SaidAgainst {
  const card = STARTER_DISHES.find(dish => dish.id === id)!
  const volumes = volumesOf(stageDish(card), 100, rowOf)
  return {
    card, rowOf, cup: FIRST_KITCHEN.measures[0]!, kitchen: FIRST_KITCHEN,
    facts: {
      base: card.base, ingredients: card.ingredients, baseG: 250, usualBaseG: card.usual.baseG, portionG: card.portionG, finishedPerBase: finishedShare(card, rowOf).perBase,
      greatestMlPerBase: volumes.greatestMl / 100, density: volumes.density, pan: FIRST_KITCHEN.pans[0]!,
    },
  }
}

describe('what is said to make a dish from', () => {
  it('gives the base and tells what was understood', () => {
    expect(sayScale('930 g sweet potato, peeled', against('ember-sweet-potato'))).toEqual({ baseG: 930, heard: 'From 930 g of sweet potato, ready to go in.' })
    expect(sayScale('1 kg sweet potatoes', against('ember-sweet-potato'))).toMatchObject({ heard: expect.stringContaining('Say "peeled" if it is.') as string })
    expect(sayScale('double', against('brick-kiln-wheat'))).toEqual({ baseG: 500, heard: '2 times the usual amount of the dish.' })
    expect(sayScale('24 balls', against('marble-gram-balls'))).toMatchObject({ heard: 'Balls of 30 g; say "of 25 g" for others.' })
    expect(sayScale('square tray', against('tide-line-coconut'))).toMatchObject({ heard: 'A layer of 30 mm in a tray of 20 × 20 cm.' })
    expect(sayScale('fill the pan', against('sweet-water-semolina'))).toMatchObject({ heard: expect.stringContaining('room to stir') as string })
  })

  it('refuses with what happened, what is safe and what to do', () => {
    for (const text of ['much', '-1 kg', '0', '900 kg', '9000 people']) {
      const said = sayScale(text, against('brick-kiln-wheat'))
      expect(said && 'trouble' in said ? said.trouble : '', text).toContain('Nothing was changed.')
    }
    const noPan = against('brick-kiln-wheat')
    expect(sayScale('fill the pan', { ...noPan, facts: { ...noPan.facts!, pan: null } })).toMatchObject({ trouble: expect.stringContaining('no pan is chosen') as string })
  })

  it('says nothing to nothing', () => {
    expect(sayScale('  ', against('brick-kiln-wheat'))).toBeNull()
    expect(sayScale('2 cups', { ...against('brick-kiln-wheat'), facts: null })).toBeNull()
  })
})
