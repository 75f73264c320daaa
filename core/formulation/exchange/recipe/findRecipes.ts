import { itemAt } from '../../../maths/table/itemAt'

/** What JSON holds. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json }

/** A recipe as it was found, its ingredients as lines of text. */
export interface FoundRecipe {
  /** As it is called; empty where it has no name. */
  readonly name: string
  readonly lines: readonly string[]
  /** Our own dish, where one is carried along; not yet proven. */
  readonly carried: Json | undefined
}

/** Recipes of a file, and why there is none. */
export interface FoundRecipes {
  readonly recipes: readonly FoundRecipe[]
  /** True where a recipe was found that names no ingredient. */
  readonly isBare: boolean
  /** Types that were seen where no recipe was, at most five. */
  readonly types: readonly string[]
}

const DEEPEST = 12
const MOST_NODES = 50_000
/** Properties of schema.org, written plainly, with its prefix, or as an address. */
const PREFIX = /^(?:schema:|https?:\/\/(?:www\.)?schema\.org\/)/
/** Where ingredients stand: today's property, the one before 2012, and the supplies of a HowTo. */
const INGREDIENTS = ['recipeIngredient', 'ingredients', 'supply'] as const

/**
 * Every schema.org Recipe in a piece of JSON-LD, wherever it stands: alone, in a list or `@graph`, as a `mainEntity`,
 * in an ItemList, plain, prefixed or expanded.
 *
 * @param value parsed JSON
 * @returns recipes with ingredients in their order, the same one once
 */
export function findRecipes(value: Json): FoundRecipes {
  const recipes: FoundRecipe[] = []
  const types = new Set<string>()
  let [nodes, isBare] = [0, false]
  const walk = (at: Json, depth: number): void => {
    if (depth > DEEPEST || ++nodes > MOST_NODES || at === null || typeof at !== 'object') return
    if (isList(at)) {
      for (const one of at) walk(one, depth + 1)
      return
    }
    const node = plainKeys(at)
    const named = typesOf(node['@type'])
    if (named.some(type => type.toLowerCase() === 'recipe')) {
      const lines = linesOf(node)
      const carried = node.yonHearthDish ?? node['urn:yon-hearth:dish']
      if (lines.length > 0 || carried !== undefined)
        recipes.push({ name: textOf(node.name ?? node.headline ?? null), lines, carried })
      else isBare = true
      return
    }
    for (const type of named) if (types.size < 5) types.add(type)
    for (const one of Object.values(node)) walk(one, depth + 1)
  }
  walk(value, 0)
  const seen = new Set<string>()
  const once = recipes.filter((one) => {
    const key = JSON.stringify([one.name, one.lines])
    return seen.has(key) ? false : (seen.add(key), true)
  })
  return { recipes: once, isBare, types: [...types] }
}

function isList(value: Json): value is readonly Json[] {
  return Array.isArray(value)
}

function plainKeys(node: { readonly [key: string]: Json }): Record<string, Json> {
  return Object.fromEntries(
    Object.entries(node).map(([key, one]) => [key === 'type' ? '@type' : key.replace(PREFIX, ''), one]),
  )
}

function typesOf(type: Json | undefined): string[] {
  return (type === undefined ? [] : isList(type) ? type : [type]).flatMap(one =>
    typeof one === 'string' ? [one.replace(PREFIX, '')] : [],
  )
}

function linesOf(node: Readonly<Record<string, Json>>): string[] {
  for (const property of INGREDIENTS) {
    const found = node[property]
    const lines = found === undefined ? [] : lined(found, 0)
    if (lines.length > 0) return lines
  }
  return []
}

/** Ingredients as lines: texts, one text of many lines, or objects that name a thing and how much of it. */
function lined(value: Json, depth: number): string[] {
  if (depth > DEEPEST || value === null || typeof value === 'boolean') return []
  if (typeof value === 'number') return [String(value)]
  if (typeof value === 'string')
    return value
      .split(/\r?\n|<br\s*\/?>|<\/li>/i)
      .map(line => line.trim())
      .filter(line => line !== '')
  if (isList(value)) return value.flatMap(one => lined(one, depth + 1))
  const node = plainKeys(value)
  if (node['@value'] !== undefined) return lined(node['@value'], depth + 1)
  const list = node['@list'] ?? node['@set'] ?? node.itemListElement
  if (list !== undefined) return lined(list, depth + 1)
  const inner = node.item
  if (inner !== undefined && node.name === undefined) return lined(inner, depth + 1)
  const line = `${amountOf(node)} ${textOf(node.name ?? node.text ?? node.ingredient ?? node.food ?? null)}`.trim()
  return line === '' ? [] : [line]
}

/** `{ value: 200, unitText: 'g' }`, under one of the names it goes by. */
function amountOf(node: Readonly<Record<string, Json>>): string {
  const held = node.requiredQuantity ?? node.amount ?? node.quantity ?? node.value
  if (held === undefined || held === null) return ''
  if (typeof held === 'object' && !isList(held)) return amountOf(plainKeys(held))
  return `${textOf(held)} ${unitOf(textOf(node.unitText ?? node.unitCode ?? node.unit ?? null))}`.trim()
}

/** Codes of UN/CEFACT recommendation 20, which `unitCode` takes. */
const COMMON_CODES: ReadonlyMap<string, string> = new Map(
  Object.entries({
    GRM: 'g',
    KGM: 'kg',
    MLT: 'ml',
    LTR: 'l',
    ONZ: 'oz',
    LBR: 'lb',
    H87: '',
    C62: '',
    EA: '',
    G21: 'cup',
    G24: 'tbsp',
    G25: 'tsp',
  }),
)
function unitOf(said: string): string {
  return COMMON_CODES.get(said) ?? said
}

function textOf(value: Json): string {
  if (typeof value === 'string') return value.trim()
  if (typeof value === 'number') return String(value)
  if (value === null || typeof value !== 'object') return ''
  if (isList(value)) return value.length > 0 ? textOf(itemAt(value, 0)) : ''
  return textOf(value['@value'] ?? value.name ?? null)
}
