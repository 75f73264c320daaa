import type { Ingredient } from '../../materials/composition/ingredient'
import { CoreError } from '../../error'
import type { SpokenAmount } from './parseAmount'

/**
 * The weight a spoken amount stands for, prepared as the dish takes it: volumes by bulk density, counted things by the
 * size of one and what is left of it once peeled, stoned and trimmed.
 *
 * @param amount from `parseAmount`
 * @param row the ingredient, with the household's corrections in it
 * @returns g, prepared
 * @throws CoreError `not-understood` for people, or for a count of what is not counted
 * @example weightOf({ kind: 'count', count: 3, size: 'medium' }, pear) // 3 × 165 g × 0.84
 */
export function weightOf(
  amount: SpokenAmount,
  row: Pick<Ingredient, 'bulkDensity' | 'piece' | 'yields' | 'id'>,
): number {
  switch (amount.kind) {
    case 'mass':
      return amount.massG
    case 'volume':
      return amount.volumeMl * row.bulkDensity
    case 'count': {
      if (!row.piece) throw new CoreError('not-understood', 'weightOf.amount', { given: 'a count', of: row.id })
      return amount.count * row.piece[amount.size] * row.yields.prepared
    }
    default:
      throw new CoreError('not-understood', 'weightOf.amount', { given: 'people', of: row.id })
  }
}
