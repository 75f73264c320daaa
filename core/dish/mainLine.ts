import type { Dish, Stage } from './dish'

/**
 * The stages that follow one another in the main vessel, in order; the others run beside them.
 *
 * @param dish a dish
 * @returns its stages without those that meet a boundary
 */
export function mainLine(dish: Dish): readonly Stage[] {
  return dish.stages.filter(stage => !stage.meets)
}
