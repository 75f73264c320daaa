import type { Dish } from '../../formulation/dish/dish'
import { familyOf } from '../../formulation/family/families'

/** What a batch may be said to be when it is eaten. */
export const END_FAULTS = [
  'burnt', 'raw-taste', 'gluey', 'hard-grain', 'lumpy', 'runny', 'dry', 'greasy', 'too-sweet', 'not-sweet', 'slab-soft', 'slab-hard', 'grainy', 'balls-crumble', 'balls-flatten', 'milk-split',
] as const
export type EndFault = (typeof END_FAULTS)[number]

/** Families whose base swells as grain. */
const GRAIN = ['semolina', 'broken-wheat', 'vermicelli']

/**
 * The faults that can be named of a dish: those its form and base allow, the usual ones first.
 *
 * @param dish a dish, with its choices where it has any
 * @returns faults
 */
export function endFaultsOf(dish: Pick<Dish, 'family' | 'choices' | 'ingredients'>): readonly EndFault[] {
  const { form, sugar, liquid } = dish.choices ?? { form: 'soft', sugar: 'in-liquid', liquid: 'water' }
  const { fresh } = familyOf(dish.family)
  const milk = dish.ingredients.some(one => one.part === 'milk')
  const cannot: Partial<Record<EndFault, boolean>> = {
    'raw-taste': fresh, 'hard-grain': !GRAIN.includes(dish.family) && dish.family !== 'lentil', 'lumpy': fresh, 'gluey': form === 'balls',
    'runny': form !== 'soft', 'slab-soft': form !== 'slab', 'slab-hard': form !== 'slab', 'grainy': sugar !== 'syrup', 'balls-crumble': form !== 'balls', 'balls-flatten': form !== 'balls',
    'milk-split': !milk && liquid !== 'milk',
  }
  return END_FAULTS.filter(fault => !cannot[fault])
}
