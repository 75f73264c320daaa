import type { Ingredient } from '../../materials/composition/ingredient'
import { preparationOf } from '../dish/basesOf'
import type { DishCard } from '../dish/dish'
import { familyOf } from '../family/families'
import { waterOf } from './waterOf'

/** One entry of the account: water, and what becomes of it. */
export interface WaterLine {
  /** Id of the ingredient within the dish. */
  readonly id: string
  /** `melts` and `steeps` are taken from the plain water; `brings` comes with an ingredient. */
  readonly what: 'melts' | 'steeps' | 'brings'
  readonly waterG: number
}

/** One total of water for the dish, and what is still to go in plain. */
export interface LiquidAccount {
  readonly totalG: number
  /** Plain water of the dish, before anything is taken from it. */
  readonly plainG: number
  readonly lines: readonly WaterLine[]
  /** Plain water still to be poured once jaggery is melted and saffron steeped. */
  readonly toPourG: number
  /** True where more is taken from the plain water than there is. */
  readonly overdrawn: boolean
}

/** Water that melts a weight of jaggery so that it can be strained (kitchen rule, estimate). */
const MELTS = 0.35
/** Water that steeps the saffron of a dish, g (kitchen rule, estimate). */
const STEEPS_G = 20
/** Less than this share of the base is not worth a line. */
const LEAST_SHARE = 0.01

type Accounted = Pick<DishCard, 'base' | 'family' | 'ingredients' | 'choices'>

/**
 * The liquid account of a dish: everything that brings water, what is taken from the plain water before the pour, and
 * what is left to pour.
 *
 * @param dish ingredients and choices
 * @param baseG weight of the base, g
 * @param rowOf rows of the ingredient table
 * @returns the account, g
 */
export function liquidAccount(
  dish: Accounted,
  baseG: number,
  rowOf: (ingredient: string) => Ingredient,
): LiquidAccount {
  const lines: WaterLine[] = []
  let plain = 0
  let brought = 0
  for (const one of dish.ingredients) {
    const row = rowOf(one.ingredient)
    const preparation = preparationOf(dish, one)
    const fresh = familyOf(one.asBase?.family ?? dish.family).fresh
    const own = (one.perBase * row.nutrients.water) / 100
    const water = baseG * (waterOf(one, row, preparation) - (preparation !== undefined && !fresh ? own : 0))
    if (one.part === 'water') plain += water
    else if (water >= LEAST_SHARE * baseG) {
      brought += water
      lines.push({ id: one.id, what: 'brings', waterG: water })
    }
  }
  const taken = takings(dish, baseG, plain > 0)
  const used = taken.reduce((sum, line) => sum + line.waterG, 0)
  return {
    totalG: plain + brought,
    plainG: plain,
    lines: [...taken, ...lines],
    toPourG: Math.max(0, plain - used),
    overdrawn: used > plain + 0.5,
  }
}

function takings(dish: Accounted, baseG: number, hasPlain: boolean): WaterLine[] {
  if (!hasPlain) return []
  return dish.ingredients.flatMap((one): WaterLine[] => {
    if (one.part === 'jaggery' && one.perBase > 0)
      return [{ id: one.id, what: 'melts', waterG: MELTS * one.perBase * baseG }]
    if (one.part === 'steeped' && one.perBase > 0)
      return [{ id: one.id, what: 'steeps', waterG: Math.min(STEEPS_G, baseG * 0.1) }]
    return []
  })
}

/**
 * The dish with its plain water set so that the total of water stays what it was: for a change of milk, fruit, jaggery
 * or butter.
 *
 * @param dish the dish after the change
 * @param totalPerBase water of the whole dish before the change, g for each g of base
 * @param rowOf rows of the ingredient table
 * @returns the dish, and how much water for each g of base could not be given or taken; 0 where it came out even
 */
export function holdWater<D extends Accounted>(
  dish: D,
  totalPerBase: number,
  rowOf: (ingredient: string) => Ingredient,
): { readonly dish: D, readonly missing: number } {
  const account = liquidAccount(dish, 1000, rowOf)
  const plain = dish.ingredients.filter(one => one.part === 'water')
  const wanted = totalPerBase - (account.totalG - account.plainG) / 1000
  const sum = plain.reduce((all, one) => all + one.perBase, 0)
  if (plain.length === 0) return { dish, missing: totalPerBase - account.totalG / 1000 }
  const given = Math.max(0, wanted)
  return {
    dish: {
      ...dish,
      ingredients: dish.ingredients.map(one =>
        one.part === 'water' ? { ...one, perBase: sum > 0 ? (one.perBase / sum) * given : given / plain.length } : one,
      ),
    },
    missing: wanted - given,
  }
}
