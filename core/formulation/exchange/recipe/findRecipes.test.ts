import { describe, expect, it } from 'vitest'
import { findRecipes, type Json } from './findRecipes'

const recipe = (more: { readonly [key: string]: Json } = {}): { readonly [key: string]: Json } =>
  ({ '@type': 'Recipe', 'name': 'Evening halwa', 'recipeIngredient': ['200 g semolina', '100 g ghee'], ...more })
const linesOf = (recipeIngredient: Json): readonly string[] | undefined =>
  findRecipes(recipe({ recipeIngredient })).recipes[0]?.lines
/** Put into so many lists, one in the other. */
const within = (value: Json, lists: number): Json => (lists === 0 ? value : within([value], lists - 1))

describe('recipes of a page', () => {
  it('are found wherever they stand, in their order, with name, lines and the dish they carry', () => {
    const found = findRecipes({
      '@graph': [
        { '@type': 'WebPage', 'mainEntity': recipe() },
        recipe({ name: null, headline: 'Morning halwa', yonHearthDish: { id: 'a' } }),
      ],
    })
    expect(found).toEqual({
      recipes: [
        { name: 'Evening halwa', lines: ['200 g semolina', '100 g ghee'], carried: undefined },
        { name: 'Morning halwa', lines: ['200 g semolina', '100 g ghee'], carried: { id: 'a' } },
      ],
      isBare: false,
      types: ['WebPage'],
    })
  })

  it('are one where they say the same, and two where name or lines differ', () => {
    expect(findRecipes([recipe(), recipe()]).recipes).toHaveLength(1)
    expect(findRecipes([recipe(), recipe({ name: 'Another' }), recipe({ recipeIngredient: ['1 egg'] })]).recipes).toHaveLength(3)
  })

  it('are known by their type, however it is written', () => {
    for (const type of ['recipe', 'schema:Recipe', 'https://schema.org/Recipe', 'http://www.schema.org/Recipe', ['Thing', 'Recipe']])
      expect(findRecipes(recipe({ '@type': type })).recipes, String(type)).toHaveLength(1)
    expect(findRecipes({ 'type': 'Recipe', 'schema:recipeIngredient': ['1 egg'] }).recipes[0]!.lines).toEqual(['1 egg'])
    expect(findRecipes(recipe({ '@type': ['Cake', 'HowTo'] }))).toMatchObject({ recipes: [], types: ['Cake', 'HowTo'] })
  })

  it('are bare where they name no ingredient, unless they carry a dish', () => {
    expect(findRecipes(recipe({ recipeIngredient: [] }))).toEqual({ recipes: [], isBare: true, types: [] })
    expect(findRecipes(recipe({ 'recipeIngredient': [], 'urn:yon-hearth:dish': 1 }))).toMatchObject({ recipes: [{ carried: 1 }], isBare: false })
  })

  it('are looked for twelve deep and no deeper, and five types are told at most', () => {
    expect(findRecipes(within(recipe(), 12)).recipes).toHaveLength(1)
    expect(findRecipes(within(recipe(), 13)).recipes).toHaveLength(0)
    const held = (depth: number): Json => (depth === 0 ? recipe() : { in: held(depth - 1) })
    expect(findRecipes(held(12)).recipes).toHaveLength(1)
    expect(findRecipes(held(13)).recipes).toHaveLength(0)
    expect(findRecipes('abcdefg'.split('').map(type => ({ '@type': type }))).types).toEqual(['a', 'b', 'c', 'd', 'e'])
  })
})

describe('lines of ingredients', () => {
  it('come from today\'s property, the older one or supplies, the first that has any', () => {
    const { recipes } = findRecipes({ '@type': 'Recipe', 'recipeIngredient': [], 'ingredients': ['1 egg'], 'supply': ['2 eggs'] })
    expect(recipes[0]!.lines).toEqual(['1 egg'])
  })

  it('are one a text, and as many as a text has lines', () => {
    expect(linesOf('a\n b \r\nc<br/>d</li>')).toEqual(['a', 'b', 'c', 'd'])
    expect(linesOf(['a', ['b', null, true, 3]])).toEqual(['a', 'b', '3'])
    expect(linesOf({ '@list': [{ '@value': 'a' }, { item: 'b' }, { itemListElement: ['c'] }, { '@set': ['d'] }] })).toEqual(['a', 'b', 'c', 'd'])
  })

  it('say how much of what an object names', () => {
    expect(linesOf([
      { name: 'semolina', requiredQuantity: { value: 200, unitText: 'g' } },
      { name: 'ghee', amount: 2, unitCode: 'G24' },
      { name: 'milk', quantity: { value: 1, unitCode: 'LTR' } },
      { name: 'cardamom', value: '3', unitCode: 'H87' },
      { food: 'sugar' },
      {},
    ])).toEqual(['200 g semolina', '2 tbsp ghee', '1 l milk', '3 cardamom', 'sugar'])
  })
})
