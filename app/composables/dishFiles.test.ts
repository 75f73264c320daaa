import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { INGREDIENTS } from '../../book/ingredients'
import { DishCardSchema } from '../../contracts/dish'
import { IngredientSchema } from '../../contracts/ingredient'
import { dishFile, readDishFile, readDishValue, recipeFile } from './dishFiles'

const file = (content: string, name = 'a.json') => new File([content], name)
const recipe = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  'name': 'Halwa',
  'recipeIngredient': ['1 cup sooji', '1 cup ghee'],
}

describe('a dish file', () => {
  it('gives a dish of ours back without loss', async () => {
    for (const dish of STARTER_DISHES)
      expect(await readDishFile(file(JSON.stringify(dish)))).toEqual({ kind: 'dish', dish, ingredients: [] })
  })

  it('gives the lines of a Recipe, alone, in a list or in a graph', () => {
    for (const value of [
      recipe,
      [{ '@type': 'WebSite' }, recipe],
      { '@graph': [{ '@type': 'Person' }, recipe] },
      { ...recipe, '@type': ['Thing', 'Recipe'] },
    ]) {
      expect(readDishValue(value, 'x')).toEqual({
        kind: 'lines',
        recipes: [{ name: 'Halwa', lines: '1 cup sooji\n1 cup ghee' }],
        says: '',
      })
    }
  })

  it('takes a script in a name as letters, and cuts a long one', () => {
    const found = readDishValue({ ...recipe, name: `<script>alert(1)</script> Halwa ${'x'.repeat(200)}` }, 'x')
    expect(found).toMatchObject({ kind: 'lines' })
    if (found.kind === 'lines') {
      expect(found.recipes[0]!.name).not.toContain('<')
      expect(found.recipes[0]!.name.length).toBeLessThanOrEqual(60)
    }
  })

  it.each([
    ['neither JSON nor a page', 'hello', /neither JSON nor a page/],
    ['JSON that breaks off', '{"@type":"Recipe"', /breaks off/],
    ['an empty list', '[]', /neither/],
    ['a recipe without ingredients', '{"@type":"Recipe","name":"x"}', /names no ingredients/],
    ['a dish with a bad number', JSON.stringify({ ...STARTER_DISHES[0], portionG: -1 }), /portionG/],
    ['null', 'null', /neither/],
    ['another thing', '{"@type":"Person"}', /holds Person, and no recipe/],
  ])('refuses %s with a sentence that says nothing was changed', async (_, content, says) => {
    const found = await readDishFile(file(content))
    expect(found.kind).toBe('refused')
    if (found.kind === 'refused') {
      expect(found.says).toMatch(says)
      expect(found.says).toContain('Nothing was changed.')
    }
  })

  it('refuses 20 MB without reading them', async () => {
    const huge = {
      size: 20_000_000,
      name: 'huge.json',
      text: () => Promise.reject(new Error('was read')),
    } as unknown as File
    expect(await readDishFile(huge)).toMatchObject({ kind: 'refused' })
  })
})

describe('a dish given away', () => {
  const rowOf = (id: string) => INGREDIENTS.find(row => row.id === id)!

  const alone = (dish: (typeof STARTER_DISHES)[number]) => ({ dish: DishCardSchema.parse(dish), ingredients: [] })

  it('takes ingredients of the household\'s own along', async () => {
    const own = IngredientSchema.parse({ ...rowOf('rice-flour'), id: 'own-1', name: 'Terrace millet', own: true })
    const dish = DishCardSchema.parse({
      ...STARTER_DISHES[0]!,
      ingredients: STARTER_DISHES[0]!.ingredients.map(one =>
        one.part === 'spice' ? { ...one, ingredient: 'own-1' } : one,
      ),
    })
    const shared = { dish, ingredients: [own] }
    for (const given of [dishFile(shared), recipeFile(shared, id => (id === 'own-1' ? own : rowOf(id)))])
      expect(await readDishFile(file(given.text, given.name))).toEqual({ kind: 'dish', ...shared })
  })

  it('comes back the same as a dish and as a Recipe', async () => {
    for (const dish of STARTER_DISHES) {
      for (const given of [dishFile(alone(dish)), recipeFile(alone(dish), rowOf)]) {
        expect(given.name).toMatch(/^[a-z0-9-]+\.(dish\.json|jsonld)$/)
        expect(await readDishFile(file(given.text, given.name))).toEqual({ kind: 'dish', dish, ingredients: [] })
      }
    }
  })

  it('has a file name whatever its letters', () => {
    expect(dishFile(alone({ ...STARTER_DISHES[0]!, name: 'हलवा' })).name).toBe('dish.dish.json')
    expect(dishFile(alone({ ...STARTER_DISHES[0]!, name: '../Aunt: "best" / halwa?' })).name).toBe(
      'aunt-best-halwa.dish.json',
    )
  })

  it('says in every step of its Recipe what goes in, in grams', () => {
    const dish = STARTER_DISHES.find(one => one.id === 'sweet-water-semolina')!
    const recipe = JSON.parse(recipeFile(alone(dish), rowOf).text) as {
      recipeIngredient: string[]
      recipeInstructions: { text: string }[]
    }
    const steps = recipe.recipeInstructions.map(step => step.text).join(' ')
    for (const one of dish.ingredients.filter(known => known.part === 'base' || known.part === 'fat')) {
      expect(steps).toContain(rowOf(one.ingredient).name.toLowerCase())
    }
    expect(steps).toMatch(/\d+ g/)
    // What was fried and set aside is no second amount, and list and steps say the same weight.
    const cashews = recipe.recipeInstructions.filter(step => /cashew/.test(step.text))
    expect(cashews.map(step => /\d g cashew/.test(step.text))).toEqual([true, false])
    expect(cashews[1]!.text).toContain('the cashew halves set aside')
    const grams = (text: string): string[] => text.match(/[\d.]+ g(?= )/g) ?? []
    const split = dish.ingredients.filter(one => one.part === 'fat').map(one => one.perBase * dish.usual.baseG)
    for (const line of recipe.recipeIngredient.flatMap(grams))
      if (!split.some(massG => `${massG} g` === line)) expect(grams(steps)).toContain(line)
  })
})
