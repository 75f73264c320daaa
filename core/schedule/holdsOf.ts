import type { DayDish, Hold } from './day'

/**
 * Vessels and machines a dish holds, the grinder among them.
 *
 * @example holdsOf(dish) // [{ need: 'heavyL', first: 'roast', last: 'pour' }, …]
 */
export function holdsOf(dish: DayDish): Hold[] {
  return [...dish.holds, ...dish.activities.filter(activity => activity.grinder).map((activity): Hold => ({ need: 'grinder', first: activity.id, last: activity.id }))]
}
