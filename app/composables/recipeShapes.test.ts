// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { readDishText, type FoundInFile } from './dishFiles'

const LINES = ['200 g sooji', '1 cup ghee']
const RECIPE = { '@type': 'Recipe', 'name': 'Halwa', 'recipeIngredient': LINES }
const CONTEXT = { '@context': 'https://schema.org' }
const list = (...all: unknown[]) => ({ '@type': 'ItemList', 'itemListElement': all })
const block = (json: unknown, before = '', after = '') =>
  `<!doctype html><html><head><script type="application/ld+json">${before}${typeof json === 'string' ? json : JSON.stringify(json)}${after}</script></head><body><p>text</p></body></html>`

/** Shapes in which recipes are published, all with the same two lines. */
const SHAPES: Record<string, unknown> = {
  'alone': { ...CONTEXT, ...RECIPE },
  'a type that is an http address': { ...RECIPE, '@type': 'http://schema.org/Recipe' },
  'a type that is an https address': { ...RECIPE, '@type': 'https://schema.org/Recipe' },
  'a type with www': { ...RECIPE, '@type': 'https://www.schema.org/Recipe' },
  'a type with its prefix': { ...RECIPE, '@type': 'schema:Recipe' },
  'several types': { ...RECIPE, '@type': ['Thing', 'Recipe'] },
  'several types as addresses': { ...RECIPE, '@type': ['https://schema.org/NewsArticle', 'https://schema.org/Recipe'] },
  'type without its sign': { type: 'Recipe', name: 'Halwa', recipeIngredient: LINES },
  'type in small letters': { ...RECIPE, '@type': 'recipe' },
  'a list': [{ '@type': 'WebSite' }, RECIPE],
  'a list in a list': [[RECIPE]],
  'a graph': { ...CONTEXT, '@graph': [{ '@type': 'Organization' }, RECIPE] },
  'a graph in a list': [{ '@graph': [RECIPE] }],
  'the main entity of a page': { '@type': 'WebPage', 'mainEntity': RECIPE },
  'the main entity, in a list': { '@type': 'WebPage', 'mainEntity': [RECIPE] },
  'what a page is about': { '@type': 'Article', 'about': { '@type': 'Thing', 'subjectOf': RECIPE } },
  'an item list': list({ '@type': 'ListItem', 'position': 1, 'item': RECIPE }),
  'an item list without items around': list(RECIPE),
  'part of a collection': { '@type': 'Collection', 'hasPart': [RECIPE] },
  'a yield with a unit': { ...RECIPE, recipeYield: { '@type': 'QuantitativeValue', 'value': 8, 'unitText': 'pieces' } },
  'no yield': { ...RECIPE, recipeYield: null },
  'yields in a list': { ...RECIPE, recipeYield: ['8', '8 pieces'] },
  'one text of lines': { ...RECIPE, recipeIngredient: LINES.join('\n') },
  'one text with breaks': { ...RECIPE, recipeIngredient: LINES.join('<br>') },
  'the property of before': { '@type': 'Recipe', 'name': 'Halwa', 'ingredients': LINES },
  'both properties, the new one empty': {
    '@type': 'Recipe',
    'name': 'Halwa',
    'recipeIngredient': [],
    'ingredients': LINES,
  },
  'prefixed properties': { '@type': 'schema:Recipe', 'schema:name': 'Halwa', 'schema:recipeIngredient': LINES },
  'expanded': [
    {
      '@type': ['http://schema.org/Recipe'],
      'http://schema.org/name': [{ '@value': 'Halwa' }],
      'http://schema.org/recipeIngredient': LINES.map(line => ({ '@value': line })),
    },
  ],
  'expanded, in order': [
    {
      '@type': ['http://schema.org/Recipe'],
      'http://schema.org/name': [{ '@value': 'Halwa', '@language': 'en' }],
      'http://schema.org/recipeIngredient': [{ '@list': LINES.map(line => ({ '@value': line })) }],
    },
  ],
  'values with their unit': {
    ...RECIPE,
    recipeIngredient: [
      { '@type': 'PropertyValue', 'name': 'sooji', 'value': 200, 'unitText': 'g' },
      { '@type': 'PropertyValue', 'name': 'ghee', 'value': 1, 'unitText': 'cup' },
    ],
  },
  'values with a unit code': {
    ...RECIPE,
    recipeIngredient: [
      {
        '@type': 'PropertyValue',
        'name': 'sooji',
        'value': { '@type': 'QuantitativeValue', 'value': '200', 'unitCode': 'GRM' },
      },
      { name: 'ghee', amount: { value: 1, unitCode: 'G21' } },
    ],
  },
  'supplies': {
    '@type': ['HowTo', 'Recipe'],
    'name': 'Halwa',
    'supply': [
      { '@type': 'HowToSupply', 'name': '200 g sooji' },
      { '@type': 'HowToSupply', 'name': 'ghee', 'requiredQuantity': '1 cup' },
    ],
  },
  'a list of items within': { ...RECIPE, recipeIngredient: { '@type': 'ItemList', 'itemListElement': LINES } },
  'steps in sections beside': {
    ...RECIPE,
    recipeInstructions: [{ '@type': 'HowToSection', 'itemListElement': [{ '@type': 'HowToStep', 'text': 'Roast.' }] }],
  },
  'a name in a list': { ...RECIPE, name: ['Halwa', 'Sheera'] },
  'a headline for a name': { '@type': 'Recipe', 'headline': 'Halwa', 'recipeIngredient': LINES },
  'the same recipe twice': [RECIPE, { ...CONTEXT, '@graph': [RECIPE] }],
  'a context of its own': { '@context': { '@vocab': 'http://schema.org/' }, ...RECIPE },
}

const PAGES: Record<string, string> = {
  'a saved page': block({ ...CONTEXT, ...RECIPE }),
  'a page with several blocks': block({ '@type': 'BreadcrumbList', 'itemListElement': [] }) + block(RECIPE),
  'a block in a comment': block(RECIPE, '<!--', '-->'),
  'a block in CDATA': block(RECIPE, '//<![CDATA[\n', '\n//]]>'),
  'a comma too many': block(`{"@type":"Recipe","name":"Halwa","recipeIngredient":["200 g sooji","1 cup ghee",],}`),
  'a broken block before a whole one': block('{"@type":') + block(RECIPE),
  'a page marked up in its text':
    '<html><body><div itemscope itemtype="https://schema.org/Recipe"><h1 itemprop="name">Halwa</h1><li itemprop="recipeIngredient">200 g sooji</li><li itemprop="recipeIngredient"> 1 cup ghee </li></div></body></html>',
  'JSON with a mark at its head': `\ufeff${JSON.stringify(RECIPE)}`,
}

function expectRead(found: FoundInFile): void {
  expect(found).toEqual({ kind: 'lines', recipes: [{ name: 'Halwa', lines: LINES.join('\n') }], says: '' })
}

describe('a recipe from elsewhere', () => {
  it.each(Object.entries(SHAPES))('is read from %s', (_, shape) =>
    expectRead(readDishText(JSON.stringify(shape), 'x.json')),
  )
  it.each(Object.entries(PAGES))('is read from %s', (_, page) => expectRead(readDishText(page, 'x.html')))

  it('may be one of several: none is dropped', () => {
    const found = readDishText(
      JSON.stringify([RECIPE, { ...RECIPE, name: 'Sheera', recipeIngredient: ['1 cup rava'] }]),
      'x.json',
    )
    expect(found).toMatchObject({
      kind: 'lines',
      recipes: [{ name: 'Halwa' }, { name: 'Sheera', lines: '1 cup rava' }],
    })
  })

  it('may have long lines and many of them', () => {
    const lines = Array.from({ length: 90 }, (_, i) => `${i + 1} g sugar ${'very '.repeat(90)}fine`)
    const found = readDishText(JSON.stringify({ ...RECIPE, recipeIngredient: lines }), 'x.json')
    expect(found.kind === 'lines' && found.recipes[0]!.lines.split('\n').length).toBe(90)
  })

  it.each([
    ['names no ingredients', JSON.stringify({ ...RECIPE, recipeIngredient: [] }), /names no ingredients/],
    ['is a page without one', '<html><body><p>Halwa</p></body></html>', /without a marked-up recipe/],
    ['is a page whose block is broken', block('{"@type":'), /cannot be read/],
    ['is another thing', JSON.stringify({ '@type': 'Product', 'name': 'Pan' }), /holds Product, and no recipe/],
    ['is empty', '  ', /is empty/],
    ['is cut off', '{"@type":"Rec', /breaks off/],
    ['is a number', '[4]', /neither a dish of ours nor a recipe/],
  ])('is refused for the true reason where it %s', (_, text, says) => {
    const found = readDishText(text, 'x')
    expect(found).toMatchObject({ kind: 'refused' })
    expect(found.kind === 'refused' ? found.says : '').toMatch(says)
    expect(found.kind === 'refused' ? found.says : '').toContain('Nothing was changed.')
  })

  it('is no way to exhaust the reader', () => {
    let deep: unknown = RECIPE
    for (let i = 0; i < 400; i++) deep = [deep]
    expect(readDishText(JSON.stringify(deep), 'x').kind).toBe('refused')
    expect(readDishText(JSON.stringify(Array.from({ length: 60_000 }, () => ({ a: 1 }))), 'x').kind).toBe('refused')
  })
})
