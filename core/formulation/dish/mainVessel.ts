import { itemAt } from '../../maths/table/itemAt'
import type { Dish } from './dish'

/**
 * The vessel in which a dish turns: that of its keystone.
 *
 * @param dish a dish with its stages
 * @returns the vessel's id; that of the first stage where the keystone names none
 */
export function mainVessel(dish: Pick<Dish, 'stages' | 'keystone'>): string {
  return (dish.stages.find(stage => stage.id === dish.keystone.stage) ?? itemAt(dish.stages, 0)).vessel
}
