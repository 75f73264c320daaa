import { WEIGHT_PARTS, type Nutrients } from './nutrients'

/** A weight of one food. */
export interface FoodWeight { readonly massG: number, readonly food: Nutrients }

/** A food without anything in it, to start sums from. */
export const NOTHING: Nutrients = {
  water: 0,
  protein: 0,
  fat: 0,
  sucrose: 0,
  glucose: 0,
  fructose: 0,
  maltose: 0,
  lactose: 0,
  starch: 0,
  fibre: 0,
  ash: 0,
  acids: 0,
  energyKj: 0,
}

/**
 * Everything that several foods bring together.
 *
 * @param foods weights in g, zero or more, with the parts of 100 g of each
 * @returns the whole of it, in g and kJ, not per 100 g
 */
export function mixOf(foods: readonly FoodWeight[]): Nutrients {
  const total: { -readonly [Part in keyof Nutrients]: number } = { ...NOTHING }
  for (const { massG, food } of foods) {
    for (const part of [...WEIGHT_PARTS, 'energyKj'] as const) total[part] += massG / 100 * food[part]
  }
  return total
}
