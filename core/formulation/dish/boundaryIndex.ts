import { CoreError } from '../../error'
import type { Boundary, Dish } from './dish'
import { mainLine } from './mainLine'

/**
 * The main-line stage that begins at a boundary: the stage itself for a start, the next one for an end.
 *
 * @param dish a dish
 * @param boundary one edge of one of its main-line stages
 * @returns index into `mainLine(dish)`; its length for the end of the last stage
 * @throws CoreError `unknown-name`
 */
export function boundaryIndex(dish: Dish, boundary: Boundary): number {
  const index = mainLine(dish).findIndex(stage => stage.id === boundary.stage)
  if (index < 0) throw new CoreError('unknown-name', 'boundaryIndex.boundary', { stage: boundary.stage })
  return boundary.edge === 'start' ? index : index + 1
}
