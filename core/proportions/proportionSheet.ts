import type { Dish } from '../dish/dish'
import { CoreError } from '../error'
import type { SpokenAmount } from '../measures/parseAmount'

/** What the household has set of a dish: weight of the base, and weights relative to it where they differ. */
export interface ProportionSheet {
  readonly baseG: number
  readonly ratios: Readonly<Record<string, number>>
}

/** Limits of a kitchen's cook: base in g, weight relative to the base. */
const LEAST_BASE = 5
const MOST_BASE = 20000
const MOST_RATIO = 20

/**
 * A dish with the household's own proportions.
 *
 * @param dish the dish as it stands in the book
 * @param sheet what was set
 * @returns the dish; the same proportions where nothing was set
 */
export function dishWith(dish: Dish, sheet: ProportionSheet): Dish {
  return { ...dish, ingredients: dish.ingredients.map(one => ({ ...one, perBase: sheet.ratios[one.id] ?? one.perBase })) }
}

/**
 * Sets the weight of one ingredient: the base scales everything, any other ingredient changes its own proportion.
 *
 * @param sheet what was set before
 * @param base id of the dish's base
 * @param id which ingredient
 * @param massG its new weight in g; kept inside of what a kitchen cooks
 * @returns the new sheet
 */
export function setAmount(sheet: ProportionSheet, base: string, id: string, massG: number): ProportionSheet {
  if (id === base) return { ...sheet, baseG: Math.min(MOST_BASE, Math.max(LEAST_BASE, massG)) }
  return { ...sheet, ratios: { ...sheet.ratios, [id]: Math.min(MOST_RATIO, Math.max(0, massG / sheet.baseG)) } }
}

/**
 * Weight of the base that a spoken amount asks for: a weight or a volume of the base, or people to be fed.
 *
 * @param amount from `parseAmount`
 * @param bulkDensity of the base, g/ml
 * @param finished g of sweet for each g of base
 * @param portionG one person's share, g
 * @returns g
 * @throws CoreError `out-of-range` outside of 5 g to 20 kg
 */
export function baseFor(amount: SpokenAmount, bulkDensity: number, finished: number, portionG: number): number {
  const baseG = amount.kind === 'mass'
    ? amount.massG
    : amount.kind === 'volume' ? amount.volumeMl * bulkDensity : amount.people * portionG / finished
  if (!(baseG >= LEAST_BASE && baseG <= MOST_BASE)) {
    throw new CoreError('out-of-range', 'baseFor.amount', { given: baseG, min: LEAST_BASE, max: MOST_BASE })
  }
  return baseG
}
