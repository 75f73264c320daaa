import { GRAIN_DISHES } from '../../book/dishes/grains'
import type { DishCard } from '../../core/formulation/dish/dish'

/** A dish of the book under a name of its own. */
export function exampleCard(name: string): DishCard {
  return { ...GRAIN_DISHES[0]!, name: `Semolina ${name}` }
}
