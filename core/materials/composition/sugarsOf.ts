import { SUGARS, type Nutrients } from './nutrients'

/**
 * All sugars of a food together.
 *
 * @param food parts of 100 g
 * @returns g in 100 g
 */
export function sugarsOf(food: Nutrients): number {
  return SUGARS.reduce((sum, kind) => sum + food[kind], 0)
}
