import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { yieldOf } from '../../core/formulation/yield/yieldOf'
import { liquidAccount } from '../../core/formulation/proportions/liquidAccount'
import { measuredAmounts } from '../../core/formulation/proportions/measuredAmounts'
import { ownedScales } from '../../core/formulation/scale/ownedScales'
import type { Figure } from './figure'
import { timed } from './timed'

/**
 * Scaling twelve ingredients to owned measures, and everything of "what comes of it".
 *
 * @returns two figures, ms a call
 */
export function measuring(): Figure[] {
  const rows = new Map(INGREDIENTS.map(row => [row.id, row]))
  const rowOf = (id: string) => rows.get(id)!
  const mung = STARTER_DISHES.find(dish => dish.id === 'long-spoon-mung')!
  const dish = {
    ...mung,
    ingredients: [
      ...mung.ingredients,
      ...['saffron', 'raisins', 'pistachio'].map(id => ({ id, ingredient: id, perBase: 0.07, part: 'spice' as const })),
    ],
  }
  const [cup, ...spoons] = FIRST_KITCHEN.measures
  const amounts = measuredAmounts(dish, 263, INGREDIENTS, cup!, spoons).map(one => ({
    id: one.id,
    massG: one.massG,
    bulkDensity: one.row.bulkDensity,
  }))
  if (amounts.length !== 12) throw new RangeError('bench: twelve ingredients')
  return [
    {
      name: 'scale to owned measures, 12 ingredients',
      value: timed(40, () => void ownedScales(amounts, dish.base, FIRST_KITCHEN.measures)),
      unit: 'ms',
      ratio: null,
      limit: '< 20 ms',
    },
    {
      name: 'what comes of it, with the liquid account',
      value: timed(200, () => {
        yieldOf(dish, 263, rowOf, [{ id: 'ghee', pricePerKg: 9 }])
        liquidAccount(dish, 263, rowOf)
      }),
      unit: 'ms',
      ratio: null,
      limit: '< 5 ms',
    },
  ]
}
