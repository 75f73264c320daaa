import { familyOf } from '../family/families'
import type { Preparation } from './choices'
import type { Dish, DishIngredient } from './dish'

/** As much of a dish as its bases need. */
export interface Based extends Pick<Dish, 'base' | 'family' | 'ingredients'> {
  readonly choices?: { readonly preparation: Preparation } | undefined
}

/** A base beside the first, with what it is and how it is got ready. */
export type SecondBase = DishIngredient & { readonly asBase: NonNullable<DishIngredient['asBase']> }

/**
 * The bases a dish has beside its first: each keeps its own preparation, moisture and yield.
 *
 * @param dish a dish
 * @returns its other bases in its order; empty for most
 */
export function secondBases(dish: Pick<Based, 'base' | 'ingredients'>): SecondBase[] {
  const isSecond = (one: DishIngredient): one is SecondBase =>
    one.id !== dish.base && one.asBase !== undefined && one.perBase > 0
  return dish.ingredients.filter(isSecond)
}

/**
 * Ids of all bases of a dish.
 *
 * @param dish a dish
 * @returns ids within the dish, the first base first
 */
export function baseIds(dish: Pick<Based, 'base' | 'ingredients'>): string[] {
  return [dish.base, ...secondBases(dish).map(one => one.id)]
}

/**
 * How a base is got ready.
 *
 * @param dish a dish
 * @param one one of its ingredients
 * @returns its own preparation; undefined for what is no base
 */
export function preparationOf(dish: Based, one: DishIngredient): Preparation | undefined {
  return one.id === dish.base ? dish.choices?.preparation ?? 'as-bought' : one.asBase?.preparation
}

/**
 * Whether a base goes into the pan wet: fresh tissue, or cooked to a purée.
 *
 * @param family id of its family
 * @param preparation how it is got ready
 */
export function goesInWet(family: string, preparation: Preparation | undefined): boolean {
  return preparation === 'cooked-puree' || familyOf(family).fresh
}

/**
 * Whether a second base is of the kind of the first: both dry, or both wet. Only then does it swell, brown and count as
 * the first does; pulp with a grain brings its water instead.
 *
 * @param dish a dish
 * @param second one of its other bases
 */
export function isAlike(dish: Based, { asBase }: SecondBase): boolean {
  return goesInWet(dish.family, dish.choices?.preparation) === goesInWet(asBase.family, asBase.preparation)
}

/**
 * All bases that fat, sugar and liquid are measured against, relative to the first.
 *
 * @param dish a dish
 * @returns g for each g of the first base; 1 where it is the only one
 */
export function basesPerBase(dish: Based): number {
  return secondBases(dish).filter(one => isAlike(dish, one)).reduce((sum, one) => sum + one.perBase, 1)
}
