import type { Dish } from '../../formulation/dish/dish'
import { FAULTS, type Fault } from '../remedies/repair'

/**
 * The faults that can be met in what is made here: those of its form, its sugar, its base.
 *
 * @param dish with its choices, where it has any
 * @returns faults in the order they are offered
 */
export function faultsOf(dish: Pick<Dish, 'family' | 'choices' | 'ingredients'>): readonly Fault[] {
  const { form, sugar } = dish.choices ?? { form: 'soft', sugar: 'in-liquid' }
  const milk = dish.ingredients.some(one => one.part === 'milk' || one.part === 'milk-solids')
  const grated = dish.family === 'vegetable' || dish.family === 'fruit'
  const cannot: Partial<Record<Fault, boolean>> = {
    'slab-soft': form !== 'slab', 'slab-hard': form !== 'slab', 'balls-crumble': form !== 'balls', 'balls-flatten': form !== 'balls',
    'syrup-weak': sugar !== 'syrup', 'syrup-far': sugar !== 'syrup', 'milk-split': !milk, 'milk-catches': !milk, 'pasty': !grated, 'hard-grain': grated,
  }
  return FAULTS.filter(fault => !cannot[fault])
}
