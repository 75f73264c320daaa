import type { Dish } from './dish'
import { mainLine } from './mainLine'

/**
 * The main-line stage at whose start a dish is done with the fire: the rest, or the end where it has none.
 *
 * @param dish a dish with its stages
 * @returns index into `mainLine(dish)`, or its length
 */
export function doneIndex(dish: Pick<Dish, 'stages'>): number {
  const line = mainLine(dish)
  const rest = line.findIndex((stage, i) => i > 0 && stage.does === 'rest')
  return rest > 0 ? rest : line.length
}
