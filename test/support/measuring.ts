import type { mount } from '@vue/test-utils'
import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import type { DishCard } from '../../core/formulation/dish/dish'
import { measuredAmounts } from '../../core/formulation/proportions/measuredAmounts'

/** A dish of the starter book. */
export const dishOf = (id: string): DishCard => STARTER_DISHES.find(dish => dish.id === id)!

/** The cup of the first kitchen. */
export const cup = FIRST_KITCHEN.measures[0]!

/** One ingredient of a dish as it stands on the shelf of Measure. */
export const amountOf = (dish: DishCard, id: string, baseG = 250) =>
  measuredAmounts(dish, baseG, INGREDIENTS, cup, []).find(one => one.id === id)!

/** Ingredients by their ids, where their names do not matter. */
export const nameOf = (id: string): string => id

/** The first button that says a text. */
export const button = (wrapper: ReturnType<typeof mount>, text: string) =>
  wrapper.findAll('button').find(one => one.text().includes(text))!
