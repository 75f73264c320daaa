import type { Dish } from './dish'

/**
 * Strength a dish's syrup is boiled to, g of sugar in a g of it: 65 % boils near 105 °C and stays soft, 78 % near 110
 * °C and sets to a slab (kitchen rules, estimates).
 */
const SHARES = { soft: 0.65, slab: 0.78, balls: 0.74 } as const

/**
 * The strength a dish's syrup is boiled to.
 *
 * @param dish what it is made into
 * @returns sugar over all of the syrup, by weight
 */
export function syrupShareOf(dish: Pick<Dish, 'choices'>): number {
  return SHARES[dish.choices?.form ?? 'soft']
}
