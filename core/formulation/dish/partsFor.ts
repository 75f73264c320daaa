import type { Ingredient } from '../../materials/composition/ingredient'
import type { Preparation } from './choices'
import { PARTS, type DishCard, type Part } from './dish'
import { PREPARATIONS_OF } from './troublesOf'

/**
 * The parts an ingredient can play in a dish beside its first base.
 *
 * @param row its row of the table; null where none is chosen yet
 * @returns parts in their order; that of a second base only for what belongs to a family
 */
export function partsFor(row: Pick<Ingredient, 'families'> | null): Part[] {
  return PARTS.filter(part => part !== 'base' || (row?.families.length ?? 0) > 0)
}

/**
 * The ways a second base can be got ready: its own family's, and that of the first where they are ground together.
 *
 * @param card the dish
 * @param family of the second base
 * @returns preparations, its own family's first
 */
export function preparationsFor(card: Pick<DishCard, 'choices'>, family: string): Preparation[] {
  return [...new Set([...PREPARATIONS_OF[family] ?? ['as-bought'], card.choices.preparation])]
}
