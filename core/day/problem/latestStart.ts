import { itemAt } from '../../maths/table/itemAt'
import type { Day } from './day'

/**
 * The part of a day that tells how late one meal could be begun at best: its dishes alone, with nothing but the minutes
 * in the kitchen counted. Leaving the other meals out relaxes the day, so nobody could begin later.
 *
 * @param day as it is, without padding
 * @param meal id of the meal
 */
export function mealAlone(day: Day, meal: string): Day {
  const dishes = day.dishes.filter(dish => dish.meal === meal)
  const kept = new Set(dishes.map(dish => dish.id))
  const none = { hot: 0, warm: 0, room: 0, cold: 0 }
  return {
    ...day,
    dishes,
    meals: day.meals.filter(one => one.id === meal),
    weights: { ...day.weights, reheat: 0, early: none, stale: none },
    links: (day.links ?? []).filter(link => kept.has(itemAt(link.from.split('.'), 0)) && kept.has(itemAt(link.to.split('.'), 0))),
    wishes: [],
  }
}
