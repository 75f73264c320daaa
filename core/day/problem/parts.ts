import { known } from '../../maths/table/itemAt'
import type { Activity, Day, DayDish } from './day'

/**
 * A dish of a day by its id.
 *
 * @param day the day
 * @param id one of its dishes
 * @returns the dish
 * @throws RangeError where the day has no such dish
 */
export function dishOf(day: Pick<Day, 'dishes'>, id: string): DayDish {
  return known(day.dishes.find(dish => dish.id === id), id)
}

/**
 * The meal that a dish is for.
 *
 * @param day the day
 * @param dish one of its dishes
 * @returns the meal
 * @throws RangeError where the day has no such meal
 */
export function mealOf(day: Pick<Day, 'meals'>, dish: Pick<DayDish, 'meal'>): Day['meals'][number] {
  return known(day.meals.find(meal => meal.id === dish.meal), dish.meal)
}

/**
 * A step of a dish by its id.
 *
 * @param dish the dish
 * @param id one of its steps
 * @returns the step
 * @throws RangeError where the dish has no such step
 */
export function activityOf(dish: Pick<DayDish, 'activities'>, id: string): Activity {
  return known(dish.activities.find(activity => activity.id === id), id)
}

/**
 * The dish and the step that a step of the day is named by.
 *
 * @param step `dish.activity`
 * @returns both ids
 */
export function partsOfStep(step: string): readonly [dish: string, activity: string] {
  const at = step.indexOf('.')
  return at < 0 ? [step, ''] : [step.slice(0, at), step.slice(at + 1)]
}
