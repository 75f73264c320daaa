import { formOf } from './forms'
import type { Dish } from './dish'

/**
 * The strength a dish's syrup is boiled to.
 *
 * @param dish what it is made into
 * @returns sugar over all of the syrup, by weight
 */
export function syrupShareOf(dish: Pick<Dish, 'choices'>): number {
  return formOf(dish).syrupShare
}
