import MiniSearch from 'minisearch'
import { baseIds } from '../../core/formulation/dish/basesOf'
import type { DishCard } from '../../core/formulation/dish/dish'
import type { Ingredient } from '../../core/materials/composition/ingredient'
import { foldSpelling } from '../../core/formulation/spelling/foldSpelling'

/** What can be found: names in all spellings, base and ingredients. */
interface Findable { readonly id: string, readonly names: string, readonly base: string, readonly inside: string }

/** Words that say nothing here: every dish is one. */
const EVERY = new Set(['halva', 'halua', 'அலவா', 'हलवा', 'का', 'की', 'அல்வா'])

/**
 * An index of dishes by regional names and spellings, bases and ingredients, forgiving of spelling.
 *
 * @param dishes to be found
 * @param rowOf rows of the ingredient table
 * @param families names by family id
 * @returns a search that gives dish ids, best first; all of them for an empty text
 */
export function dishFinder(
  dishes: readonly DishCard[],
  rowOf: (id: string) => Ingredient | undefined,
  families: Readonly<Record<string, { readonly name: string, readonly others: readonly string[] }>>,
): (text: string) => string[] {
  const index = new MiniSearch<Findable>({
    fields: ['names', 'base', 'inside'],
    tokenize: text => foldSpelling(text).split(' '),
    processTerm: term => (EVERY.has(term) ? null : term),
    searchOptions: {
      prefix: true,
      fuzzy: term => (/^[a-z]/.test(term) && term.length > 3 ? 0.25 : false),
      boost: { names: 3, base: 2 },
      combineWith: 'AND',
    },
  })
  index.addAll(
    dishes.map((dish): Findable => {
      const names = (id: string): string => {
        const row = rowOf(id)
        return row ? [row.name, ...row.otherNames].join(' ') : ''
      }
      const family = families[dish.family]
      const bases = baseIds(dish).flatMap(id => dish.ingredients.filter(one => one.id === id))
      return {
        id: dish.id,
        names: [dish.name, ...dish.otherNames].join(' '),
        base: [family?.name ?? '', ...(family?.others ?? []), ...bases.map(one => names(one.ingredient))].join(' '),
        inside: dish.ingredients
          .filter(one => !bases.includes(one))
          .map(one => names(one.ingredient))
          .join(' '),
      }
    }),
  )
  return text => {
    const terms = foldSpelling(text)
      .split(' ')
      .filter(term => term !== '' && !EVERY.has(term))
    if (terms.length === 0) return dishes.map(dish => dish.id)
    const found = index.search(terms.join(' ')).map(one => String(one.id))
    // A dish that is called just so comes before what the words fit better by their number.
    const called = dishes
      .filter(dish => [dish.name, ...dish.otherNames].some(name => foldSpelling(name) === foldSpelling(text)))
      .map(dish => dish.id)
    return [...new Set([...called, ...found])]
  }
}
