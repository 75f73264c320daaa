import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import type { Ingredient } from '../../materials/composition/ingredient'
import { faultsAtEnd, faultsAtFire } from '../../cook/faults/faultsOf'
import type { DishCard, Part } from './dish'
import { splitsMilk, takesMilk } from './splitsMilk'
import { stageDish } from '../stages/stageDish'
import { troublesOf } from './troublesOf'
import { withChoice } from './withChoice'

const rowOf = (id: string): Ingredient => INGREDIENTS.find(row => row.id === id)!
const cardOf = (id: string): DishCard => STARTER_DISHES.find(card => card.id === id)!
const withPart = (card: DishCard, ingredient: string, part: Part, perBase = 1): DishCard => ({
  ...card,
  ingredients: [...card.ingredients, { id: `own-${ingredient}`, ingredient, perBase, part }],
})
const codes = (card: DishCard): string[] => troublesOf(card).map(one => one.code)
const watches = (card: DishCard, id: string): readonly string[] =>
  stageDish(card).stages.find(stage => stage.id === id)!.watch ?? []

describe('milk that would split', () => {
  it('is refused with sour fruit or juice, and with jaggery boiled in it; what is offered helps', () => {
    const pineapple = withPart(cardOf('milk-morning-semolina'), 'pineapple', 'fruit')
    expect(codes(pineapple)).toContain('acid-splits-milk')
    const jaggery: DishCard = {
      ...cardOf('milk-morning-semolina'),
      ingredients: cardOf('milk-morning-semolina').ingredients.map(one =>
        one.part === 'sugar' ? { ...one, ingredient: 'jaggery', part: 'jaggery' } : one,
      ),
    }
    expect(jaggery.choices.sugar).toBe('in-liquid')
    expect(codes(jaggery)).toContain('jaggery-splits-milk')
    for (const card of [pineapple, jaggery]) {
      const trouble = troublesOf(card).find(one => one.code.endsWith('splits-milk'))!
      for (const offer of trouble.offers)
        expect(codes(withChoice(card, offer, rowOf)), JSON.stringify(offer)).not.toContain(trouble.code)
    }
  })

  it('is watched for where it may: jaggery off the boil, milk only when the fruit is dry', () => {
    const late = withChoice(
      {
        ...cardOf('milk-morning-semolina'),
        ingredients: cardOf('milk-morning-semolina').ingredients.map(one =>
          one.part === 'sugar' ? { ...one, ingredient: 'jaggery', part: 'jaggery' } : one,
        ),
      },
      { sugar: 'after-swelling' },
      rowOf,
    )
    expect(watches(late, 'sweeten')).toContain('jaggery-off-boil')
    const apple = withChoice(cardOf('orchard-ladder-apple'), { liquid: 'milk' }, rowOf)
    expect(watches(apple, 'milk')).toContain('milk-when-dry')
    expect(watches(cardOf('winter-market-carrot'), 'milk')).not.toContain('milk-when-dry')
  })

  it('has a way back and a cause in every dish that takes milk, and none of the book splits it', () => {
    for (const card of STARTER_DISHES) {
      expect(splitsMilk(card), card.id).toEqual({ acid: false, jaggery: false })
      if (takesMilk(card))
        expect([faultsAtFire(card).includes('milk-split'), faultsAtEnd(card).includes('milk-split')], card.id).toEqual([
          true,
          true,
        ])
    }
    expect(['pineapple', 'pineapple-canned', 'orange-juice'].every(id => rowOf(id).nutrients.acids >= 0.7)).toBe(true)
  })
})
