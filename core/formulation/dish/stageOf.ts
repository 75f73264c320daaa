import { known } from '../../maths/table/itemAt'
import type { Dish, Stage } from './dish'

/**
 * A stage of a dish by its id.
 *
 * @param dish a dish with its stages
 * @param id of one of them
 * @returns the stage
 * @throws RangeError where the dish has no such stage
 */
export function stageOf(dish: Pick<Dish, 'stages'>, id: string): Stage {
  return known(dish.stages.find(stage => stage.id === id), id)
}
