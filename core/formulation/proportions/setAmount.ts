import type { DishCard } from '../dish/dish'

/** Limits of a kitchen's cook: base in g, weight relative to the base. */
const LEAST_BASE = 5
const MOST_BASE = 20000
const MOST_RATIO = 20

/** A dish in hand: its proportions and how much of the base. */
export interface InHand { readonly dish: DishCard, readonly baseG: number }

/**
 * Sets the weight of one ingredient: the base scales everything, any other ingredient changes its own proportion.
 *
 * @param hand the dish in hand
 * @param id which ingredient
 * @param massG its new weight in g; kept inside of what a kitchen cooks
 * @returns the dish in hand afterwards
 */
export function setAmount(hand: InHand, id: string, massG: number): InHand {
  const { dish } = hand
  if (id === dish.base) return { ...hand, baseG: Math.min(MOST_BASE, Math.max(LEAST_BASE, massG)) }
  const perBase = Math.min(MOST_RATIO, Math.max(0, massG / hand.baseG))
  return {
    ...hand,
    dish: { ...dish, ingredients: dish.ingredients.map(one => (one.id === id ? { ...one, perBase } : one)) },
  }
}

/**
 * Sets the weight of the base alone: everything else keeps its weight, and so its proportion changes.
 *
 * @param hand the dish in hand
 * @param massG new weight of the base in g; kept inside of what a kitchen cooks
 * @returns the dish in hand afterwards
 */
export function setBaseAlone({ dish, baseG }: InHand, massG: number): InHand {
  const next = Math.min(MOST_BASE, Math.max(LEAST_BASE, massG))
  const perBase = (one: DishCard['ingredients'][number]): number =>
    one.id === dish.base ? 1 : Math.min(MOST_RATIO, Math.round(((one.perBase * baseG) / next) * 1e5) / 1e5)
  return {
    baseG: next,
    dish: { ...dish, ingredients: dish.ingredients.map(one => ({ ...one, perBase: perBase(one) })) },
  }
}
