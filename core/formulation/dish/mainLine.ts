import type { Dish, Stage } from './dish'

/**
 * The stages that follow one another at the fire, in order; the others run beside them, before or after.
 *
 * @param dish a dish
 * @returns its stages at the fire without those that meet a boundary
 */
export function mainLine(dish: Pick<Dish, 'stages'>): readonly Stage[] {
  return dish.stages.filter(stage => !stage.meets && (stage.phase ?? 'fire') === 'fire')
}
