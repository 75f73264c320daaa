import type { DishCard, Part } from './dish'
import type { WatchCode } from './stageCodes'

/**
 * Fruit and juice sour enough to split milk that is heated with them: about 0.7 g of acid in 100 g and more, by their
 * ids in the table.
 */
const SOUR: ReadonlySet<string> = new Set(['pineapple', 'pineapple-canned', 'orange-juice'])

/** What is called milk and does not split so: it has no protein to speak of. */
const NEVER: ReadonlySet<string> = new Set(['coconut-milk', 'oat-milk'])

const holds = (card: Pick<DishCard, 'ingredients'>, ...parts: readonly Part[]): boolean =>
  card.ingredients.some(one => one.part !== undefined && parts.includes(one.part) && one.perBase > 0)

/**
 * Whether milk that can split goes into the pan of a dish as a liquid.
 *
 * @param card ingredients and choices
 */
export function takesMilk(card: Pick<DishCard, 'ingredients' | 'choices'>): boolean {
  const milk = card.ingredients.some(one => one.part === 'milk' && one.perBase > 0 && !NEVER.has(one.ingredient))
  return milk && (card.choices.liquid === 'milk' || card.choices.liquid === 'water-then-milk')
}

/**
 * What would split the milk of a dish for sure: sour fruit or juice in it, or jaggery boiled with it.
 *
 * @param card ingredients and choices
 */
export function splitsMilk(card: Pick<DishCard, 'ingredients' | 'choices'>): {
  readonly acid: boolean
  readonly jaggery: boolean
} {
  if (!takesMilk(card)) return { acid: false, jaggery: false }
  return {
    acid: card.ingredients.some(one => SOUR.has(one.ingredient) && one.perBase > 0),
    jaggery: card.choices.sugar === 'in-liquid' && holds(card, 'jaggery'),
  }
}

/**
 * What to mind of a dish with milk, as codes of `words/`: jaggery only off the boil, milk only where fruit has cooked
 * dry.
 *
 * @param card ingredients and choices
 * @param at where the milk or the sugar goes in
 */
export function milkWatches(
  card: Pick<DishCard, 'ingredients' | 'choices' | 'family'>,
  at: 'milk' | 'sugar',
): WatchCode[] {
  if (!takesMilk(card)) return []
  if (at === 'sugar') return holds(card, 'jaggery') ? ['jaggery-off-boil'] : []
  return card.family === 'fruit' || holds(card, 'fruit') ? ['milk-when-dry'] : []
}
