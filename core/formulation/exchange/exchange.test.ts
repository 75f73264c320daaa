import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { DishCardSchema } from '../../../contracts/dish'
import { rowOf } from '../../../test/support/plans'
import { yieldOf } from '../yield/yieldOf'
import { stageDish } from '../stages/stageDish'
import { troublesOf } from '../dish/troublesOf'
import { usualTotalMinutes } from '../dish/usualTotalMinutes'
import { CoreError } from '../../error'
import { dishFromAmounts } from './dishFromAmounts'
import { PLAIN_NAMES } from '../../../book/plainNames'
import { foodNames } from './text/foodNames'
import { readLines } from './text/readLines'
import { toRecipeLd } from './recipe/toRecipeLd'

const cup = { id: 'c', name: 'cup', volumeMl: 240 }
const FOODS = foodNames(INGREDIENTS, PLAIN_NAMES)
const read = (text: string) => readLines(text, cup, FOODS).lines
const recipeOf = (dish: (typeof STARTER_DISHES)[number]) =>
  toRecipeLd(
    stageDish(dish),
    dish.usual.baseG,
    yieldOf(dish, dish.usual.baseG, rowOf),
    { category: 'Semolina', steps: [{ name: 'roast', text: 'Roast.' }] },
    rowOf,
    dish,
  )

describe('a dish from a list', () => {
  it('takes the weightiest base, adds the same thing up, and can be cooked', () => {
    const dish = dishFromAmounts(
      'mine',
      'Mine',
      [
        { ingredient: 'semolina-medium', massG: 200 },
        { ingredient: 'ghee', massG: 100 },
        { ingredient: 'ghee', massG: 60 },
        { ingredient: 'sugar', massG: 220 },
        { ingredient: 'water', massG: 800 },
        { ingredient: 'cashew-halves', massG: 30 },
      ],
      rowOf,
    )
    expect(dish).toMatchObject({ family: 'semolina', base: 'semolina', usual: { baseG: 200 } })
    expect(dish.ingredients.find(one => one.ingredient === 'ghee')!.perBase).toBe(0.8)
    expect(troublesOf(dish)).toEqual([])
    expect(DishCardSchema.safeParse(dish).success).toBe(true)
  })

  it('leads the school to what is there: every starter dish comes back cookable from its weights alone', () => {
    for (const dish of STARTER_DISHES) {
      const again = dishFromAmounts(
        'again',
        'Again',
        dish.ingredients.map(one => ({ ingredient: one.ingredient, massG: one.perBase * 300 })),
        rowOf,
      )
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
      expect(recipe['@type']).toBe('Recipe')
      expect(recipe.recipeIngredient).toHaveLength(dish.ingredients.length)
      expect(DishCardSchema.parse(recipe.yonHearthDish)).toEqual(dish)
      expect(String(recipe.cookTime)).toMatch(/^PT\d+M$/)
    }
  })

  it('says what a serving holds and how long it takes, in the units of the standard', () => {
    const dish = STARTER_DISHES[0]!
    const { servings, serving } = yieldOf(dish, dish.usual.baseG, rowOf)
    const { before, fire } = usualTotalMinutes(stageDish(dish))
    const grams = (massG: number): string => `${massG < 10 ? Math.round(10 * massG) / 10 : Math.round(massG)} g`
    // Fat, sugars, protein and fibre by 37, 17 and 8 kJ/g (Regulation (EU) 1169/2011, annex XIV), 4.184 kJ in a kcal.
    expect(recipeOf(dish)).toMatchObject({
      recipeYield: `${Math.round(servings)} servings of ${Math.round(dish.portionG)} g`,
      prepTime: `PT${Math.round(before)}M`,
      cookTime: `PT${Math.round(fire)}M`,
      nutrition: {
        servingSize: `${Math.round(serving.massG)} g`,
        calories: `${Math.round(serving.energyKj / 4.184)} kcal`,
        fatContent: grams(serving.fatG),
        sugarContent: grams(serving.sugarG),
        proteinContent: grams(serving.proteinG),
        fiberContent: grams(serving.fibreG),
      },
    })
    expect(serving.energyKj).toBeGreaterThan(37 * serving.fatG + 17 * serving.sugarG)
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
