import type { Json } from '../../core/formulation/exchange/recipe/findRecipes'

/** What of a saved page may be a recipe. */
export interface PageData {
  /** The page's blocks of JSON-LD, and its marked-up items in the same form. */
  readonly values: readonly Json[]
  /** Blocks that are no JSON, with what the reader said. */
  readonly broken: readonly string[]
}

/**
 * The structured data of a saved page: blocks of JSON-LD, and microdata of a Recipe (WHATWG HTML, microdata).
 *
 * @param html the page; nothing of it is run or fetched
 * @returns its values; empty where it has none
 */
export function readPage(html: string): PageData {
  const page = new DOMParser().parseFromString(html, 'text/html')
  const values: Json[] = []
  const broken: string[] = []
  for (const block of page.querySelectorAll('script[type*="ld+json" i]')) {
    try {
      const value: Json = JSON.parse(bareJson(block.textContent))
      values.push(value)
    }
    catch (error) {
      broken.push(error instanceof Error ? error.message : 'no JSON')
    }
  }
  for (const item of page.querySelectorAll('[itemtype*="schema.org/Recipe" i]')) {
    const all = (property: string): string[] =>
      [...item.querySelectorAll(`[itemprop~="${property}"]`)]
        .map(one => (one.getAttribute('content') ?? one.textContent).trim())
        .filter(text => text !== '')
    const lines = [...all('recipeIngredient'), ...all('ingredients')]
    values.push({ '@type': 'Recipe', 'name': all('name')[0] ?? '', 'recipeIngredient': lines })
  }
  return { values, broken }
}

/** Without what pages wrap it in, and without the commas too many that many write. */
function bareJson(text: string): string {
  return text
    .replace(/^\s*(?:<!--|<!\[CDATA\[|\/\/\s*<!\[CDATA\[|\/\*\s*<!\[CDATA\[\s*\*\/)/, '')
    .replace(/(?:-->|\]\]>|\/\/\s*\]\]>|\/\*\s*\]\]>\s*\*\/)\s*;?\s*$/, '')
    .replace(/,(\s*[}\]])/g, '$1')
    .replace(/;\s*$/, '')
    .trim()
}
