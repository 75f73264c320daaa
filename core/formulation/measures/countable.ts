import type { Ingredient } from '../../materials/composition/ingredient'
import type { Countable } from './parseAmount'

/**
 * The words under which an ingredient is counted.
 *
 * @param row of the ingredient table
 * @returns its nouns and names, or undefined for what is not counted
 */
export function countable(row: Pick<Ingredient, 'piece' | 'name' | 'otherNames'>): Countable | undefined {
  if (!row.piece) return undefined
  const name = row.name.split(',')[0] ?? row.name
  return {
    nouns: [row.piece.noun, row.piece.plural, name, `${name}s`, ...row.otherNames].map(one => one.toLowerCase()),
  }
}
