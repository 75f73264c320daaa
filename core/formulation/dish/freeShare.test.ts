import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { exampleCard } from '../../../test/support/exampleCard'
import type { Allergen } from '../../materials/composition/ingredient'
import type { DishCard } from './dish'
import { freeOf, withFreeShare } from './freeShare'
import { stageDish } from '../stages/stageDish'
import { troublesOf } from './troublesOf'

const allergensOf = (id: string): readonly Allergen[] => INGREDIENTS.find(row => row.id === id)!.allergens
const almonds = STARTER_DISHES.find(card => card.ingredients.some(one => one.ingredient === 'almond-paste'))!
const withLast = (card: DishCard, nut: string): DishCard => ({
  ...card, choices: { ...card.choices, nuts: 'last' },
  ingredients: [
    ...card.ingredients.filter(one => one.part !== 'nuts'),
    { id: `last-${nut}`, ingredient: nut, perBase: 0.1, part: 'nuts' },
  ],
})
const shareOf = (card: DishCard): readonly Allergen[] | undefined =>
  withFreeShare(stageDish(card), allergensOf).stages.find(stage => stage.id === 'free-share')?.freeOf

describe('a share set apart', () => {
  it('is free of what is stirred in last and of nothing that went in before', () => {
    expect(shareOf(withLast(exampleCard('d1'), 'pistachio'))).toEqual(['pistachio'])
    expect(shareOf(withLast(almonds, 'pistachio'))).toEqual(['pistachio'])
    expect(shareOf(withLast(almonds, 'almond-slivers'))).toBeUndefined()
  })

  it('is never offered for an allergen that base, fat, liquid or anything else brought before, in any dish and with any nut', () => {
    const nuts = INGREDIENTS.filter(row => ['nuts', 'coconut'].includes(row.kind))
    let offered = 0
    for (const starter of STARTER_DISHES) {
      for (const { id } of nuts) {
        const card = withLast(starter, id)
        if (troublesOf(card).length > 0) continue
        const share = shareOf(card)
        const before = new Set(
          card.ingredients.filter(one => one.part !== 'nuts').flatMap(one => [...allergensOf(one.ingredient)]),
        )
        for (const allergen of share ?? []) expect(before.has(allergen), `${card.id} ${id} ${allergen}`).toBe(false)
        if (share) offered++
      }
    }
    expect(offered).toBeGreaterThan(40)
    const milky = withLast(exampleCard('d1'), 'pistachio')
    expect(
      freeOf(
        {
          ...stageDish(milky),
          ingredients: milky.ingredients.map(one => (one.part === 'nuts' ? { ...one, ingredient: 'khoya' } : one)),
        },
        allergensOf,
      ),
    ).not.toContain('milk')
  })

  it('knows sulphites where they are usual: jaggery, dried and canned fruit', () => {
    for (const id of ['jaggery', 'jaggery-palm', 'raisins', 'dates', 'mango-canned', 'pineapple-canned', 'coconut-dry'])
      expect(allergensOf(id), id).toContain('sulphites')
  })
})
