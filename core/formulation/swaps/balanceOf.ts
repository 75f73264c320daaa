import type { Ingredient } from '../../materials/composition/ingredient'
import { sugarsOf } from '../../materials/composition/sugarsOf'
import type { Balance } from './swap'

/**
 * What one gram of an ingredient brings to each balance. Of a dairy milk, its own sugars count with protein and ash as
 * milk solids; what was added to it counts as sugar.
 *
 * @param row of the ingredient table
 * @returns g for each g
 */
export function balanceOf(
  row: Pick<Ingredient, 'nutrients' | 'kind' | 'allergens'>,
): Readonly<Record<Balance, number>> {
  const { nutrients, kind } = row
  const milky = row.allergens.includes('milk') && nutrients.lactose > 0
  const added = kind === 'condensed' || !milky
  return {
    'water': nutrients.water / 100,
    'fat': nutrients.fat / 100,
    'sugar': added ? (sugarsOf(nutrients) - nutrients.lactose) / 100 : 0,
    'milk-solids': milky
      ? (nutrients.protein + (added ? nutrients.lactose : sugarsOf(nutrients)) + nutrients.ash) / 100
      : 0,
    'starch': milky ? 0 : (nutrients.starch + nutrients.protein * (kind === 'base' ? 1 : 0)) / 100,
  }
}
