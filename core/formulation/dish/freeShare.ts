import type { Allergen } from '../../materials/composition/ingredient'
import type { Dish, Stage } from './dish'
import { isStage } from './stageRole'

/** Allergens of an ingredient by its id in the table. */
export type AllergensOf = (ingredient: string) => readonly Allergen[]

/**
 * What a share can be free of that is taken out before the last things are stirred in: every allergen of those that
 * nothing held which went in before, the base, its fat and its liquid among it.
 *
 * @param dish with its stages
 * @param allergensOf allergens of an ingredient
 * @returns allergens; empty where such a share would be free of nothing
 */
export function freeOf(dish: Pick<Dish, 'stages' | 'ingredients'>, allergensOf: AllergensOf): Allergen[] {
  const late = new Set(dish.stages.find(stage => isStage(stage, 'nuts-in'))?.handles)
  const of = (isLate: boolean): Allergen[] => dish.ingredients
    .filter(one => one.perBase > 0 && late.has(one.id) === isLate)
    .flatMap(one => [...allergensOf(one.ingredient)])
  const before = new Set(of(false))
  return [...new Set(of(true))].filter(allergen => !before.has(allergen))
}

/**
 * A dish whose share is set apart only where it is free of something, and says of what.
 *
 * @param dish with its stages
 * @param allergensOf allergens of an ingredient
 * @returns the dish; without the stage of that share where it would be free of nothing
 */
export function withFreeShare<D extends Dish>(dish: D, allergensOf: AllergensOf): D {
  if (!dish.stages.some(stage => isStage(stage, 'free-share'))) return dish
  const free = freeOf(dish, allergensOf)
  const stages = dish.stages.flatMap((stage): Stage[] => {
    if (!isStage(stage, 'free-share')) return [stage]
    return free.length > 0 ? [{ ...stage, freeOf: free }] : []
  })
  return { ...dish, stages }
}
