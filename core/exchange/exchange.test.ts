import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { INGREDIENTS } from '../../book/ingredients'
import { DishCardSchema } from '../../contracts/dish'
import { RecipeLdSchema } from '../../contracts/recipeLd'
import { rowOf } from '../../test/support/plans'
import { whatComes } from '../comes/whatComes'
import { stageDish } from '../dish/stageDish'
import { troublesOf } from '../dish/troublesOf'
import { CoreError } from '../error'
import { dishFromAmounts } from './dishFromAmounts'
import { readLines } from './readLines'
import { toRecipeLd } from './toRecipeLd'

const cup = { id: 'c', name: 'cup', volumeMl: 240 }
const read = (text: string) => readLines(text, cup, INGREDIENTS)
const recipeOf = (dish: (typeof STARTER_DISHES)[number]) => toRecipeLd(stageDish(dish), dish.usual.baseG, whatComes(dish, dish.usual.baseG, rowOf), { category: 'Semolina', steps: [{ name: 'roast', text: 'Roast.' }] }, rowOf, dish)

describe('a pasted line', () => {
  it.each([
    ['3/4 cup ghee', 'ghee', 0.75 * 240 * 0.89], ['1½ cups sugar', 'sugar', 1.5 * 240 * 0.83], ['200g gur', 'jaggery', 200], ['9 large jackfruit pods', 'jackfruit', 9 * 45 * 0.68],
    ['2 pears', 'pear', 2 * 165 * 0.84], ['1 katori atta', 'wheat-flour-whole', 240 * 0.52], ['1/2 tsp cardamom powder', 'cardamom-ground', 1], ['5 green cardamom pods', 'cardamom-ground', 5 * 0.2 * 0.7],
    ['500 ml milk', 'milk', 515], ['- 2 tbsp milk powder', 'milk-powder', 30 * 0.48], ['1 cup besan', 'gram-flour-fine', 240 * 0.43], ['1 lb carrots, grated', 'carrot-orange', 453.592],
  ])('%s', (text, ingredient, massG) => {
    const [line] = read(text)
    expect([line!.ingredient, ...line!.others]).toContain(ingredient)
    expect(line!.massG!).toBeCloseTo(massG, 0)
  })

  it('says what is doubtful, and why', () => {
    const doubts = (text: string) => read(text)[0]!.doubts
    expect(doubts('1 cup sooji')).toEqual(['which'])
    expect(doubts('salt to taste')).toEqual(['no-amount'])
    expect(doubts('dragon scales, 3')).toContain('unknown')
    expect(doubts('2-3 tbsp ghee')).toEqual(['range'])
    expect(doubts('1 tin condensed milk')).toEqual(['measure'])
    expect(doubts('3/4 cup ghee')).toEqual([])
  })

  it.each(['2 handfuls of raisins, chopped', '1 handful cashews', '3 packets of almonds', 'a knob of butter', '2 sprigs of saffron'])('does not count the pieces of "%s"', (text) => {
    const [line] = read(text)
    expect(line!.massG).toBeNull()
    expect(line!.doubts.some(doubt => doubt === 'measure' || doubt === 'no-amount')).toBe(true)
  })

  it.each([['9 large pods of jackfruit', 9 * 45 * 0.68], ['12 raisins', 12 * 0.5], ['2 pods of cardamom', 2 * 0.2 * 0.7]])('counts those of "%s"', (text, massG) => {
    expect(read(text)[0]!.massG!).toBeCloseTo(massG, 1)
  })

  it('knows a heading from an ingredient', () => {
    expect(read('For the halwa:')[0]).toMatchObject({ heading: true, ingredient: null })
  })

  it('is never silently dropped: every line that is not empty comes back in its order', () => {
    fc.assert(fc.property(fc.array(fc.string({ minLength: 1, maxLength: 60 }).filter(line => !/[\r\n]/.test(line) && /[a-z]/i.test(line)), { maxLength: 20 }), (lines) => {
      const found = read(lines.join('\n'))
      const kept = lines.filter(line => line.replace(/^[\s\-*•·–\d]*[.)]\s+/, '').replace(/^[\s\-*•·–]+/, '').trim() !== '')
      expect(found).toHaveLength(kept.length)
      for (const line of found) expect(line.massG === null || line.massG >= 0).toBe(true)
    }), { numRuns: 200 })
  })
})

describe('a dish from a list', () => {
  it('takes the weightiest base, adds the same thing up, and can be cooked', () => {
    const dish = dishFromAmounts('mine', 'Mine', [{ ingredient: 'semolina-medium', massG: 200 }, { ingredient: 'ghee', massG: 100 }, { ingredient: 'ghee', massG: 60 }, { ingredient: 'sugar', massG: 220 }, { ingredient: 'water', massG: 800 }, { ingredient: 'cashew-halves', massG: 30 }], rowOf)
    expect(dish).toMatchObject({ family: 'semolina', base: 'semolina', usual: { baseG: 200 } })
    expect(dish.ingredients.find(one => one.ingredient === 'ghee')!.perBase).toBe(0.8)
    expect(troublesOf(dish)).toEqual([])
    expect(DishCardSchema.safeParse(dish).success).toBe(true)
  })

  it('leads the school to what is there: every starter dish comes back cookable from its weights alone', () => {
    for (const dish of STARTER_DISHES) {
      const again = dishFromAmounts('again', 'Again', dish.ingredients.map(one => ({ ingredient: one.ingredient, massG: one.perBase * 300 })), rowOf)
      expect(again.family, dish.id).toBe(dish.family)
      expect(troublesOf(again).map(trouble => trouble.code), dish.id).toEqual([])
      expect(stageDish(again).stages.length).toBeGreaterThan(2)
    }
  })

  it('is refused without a base', () => {
    expect(() => dishFromAmounts('x', 'X', [{ ingredient: 'ghee', massG: 100 }], rowOf)).toThrow(CoreError)
  })
})

describe('a recipe for others', () => {
  it('is a schema.org Recipe that carries the dish along without loss', () => {
    for (const dish of STARTER_DISHES) {
      const recipe = JSON.parse(JSON.stringify(recipeOf(dish))) as Record<string, unknown>
      const parsed = RecipeLdSchema.parse(recipe)
      expect(parsed['@type']).toBe('Recipe')
      expect(parsed.recipeIngredient).toHaveLength(dish.ingredients.length)
      expect(DishCardSchema.parse(recipe.yonHearthDish)).toEqual(dish)
      expect(String(recipe.cookTime)).toMatch(/^PT\d+M$/)
    }
  })

  it('reads back by its lines alone, with the weights that were written', () => {
    for (const dish of STARTER_DISHES) {
      const lines = read((recipeOf(dish).recipeIngredient as string[]).join('\n'))
      lines.forEach((line, i) => {
        const one = dish.ingredients[i]!
        expect([line.ingredient, ...line.others], `${dish.id}: ${line.text}`).toContain(one.ingredient)
        const massG = one.perBase * dish.usual.baseG
        expect(Math.abs((line.massG ?? 0) - massG)).toBeLessThan(massG < 10 ? 0.06 : 0.51)
      })
    }
  })
})
