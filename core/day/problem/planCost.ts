import { activityOf, mealOf } from './parts'
import { fieldAt } from '../../maths/table/itemAt'
import { presentBefore } from './presence'
import type { Day, DayDish, Starts } from './day'

/** What a plan costs, minute by minute's worth, in parts a cook understands. */
export interface PlanCost {
  /** The objective of schema 1 (`docs/formats.md`). */
  readonly total: number
  /** Minutes from the first hands-on step to the meal in which somebody is there, by meal. */
  readonly spans: Readonly<Record<string, number>>
  /** Start of the first hands-on step, by meal. */
  readonly begins: Readonly<Record<string, number>>
  /** Minutes each dish stands ready before its meal. */
  readonly waits: Readonly<Record<string, number>>
  readonly reheats: number
}

/**
 * Cost of a plan: per meal the minutes present from its first counted hands-on step; per dish what it costs to stand
 * ready early, more beyond its window; and each liquid that is heated again. Meals moved are counted where they now
 * are.
 *
 * @param day the day
 * @param starts start minutes by `dish.activity`
 * @param late minutes each meal is later, by id
 */
export function planCost(day: Day, starts: Starts, late: Readonly<Record<string, number>> = {}): PlanCost {
  const present = presentBefore(day)
  const spans: Record<string, number> = {}
  const begins: Record<string, number> = {}
  for (const meal of day.meals) {
    const counted = day.dishes
      .filter(dish => dish.meal === meal.id)
      .flatMap(dish =>
        dish.activities
          .filter(activity => activity.hands > 0 && !activity.night)
          .map(activity => fieldAt(starts, `${dish.id}.${activity.id}`)),
      )
    if (counted.length === 0) continue
    begins[meal.id] = Math.min(...counted)
    spans[meal.id] = present(meal.at + (late[meal.id] ?? 0)) - present(fieldAt(begins, meal.id))
  }
  const waits = Object.fromEntries(day.dishes.map(dish => [dish.id, waitOf(day, dish, starts, late[dish.meal] ?? 0)]))
  const reheats = day.dishes.filter(dish => starts[`${dish.id}.reheat`] !== undefined).length
  const total =
    Object.values(spans).reduce((sum, span) => sum + day.weights.span * span, 0)
    + day.weights.reheat * reheats
    + day.dishes.reduce((sum, dish) => sum + earlyCost(day, dish, fieldAt(waits, dish.id)), 0)
  return { total, spans, begins, waits, reheats }
}

function waitOf(day: Day, dish: DayDish, starts: Starts, late: number): number {
  const sink = activityOf(dish, dish.sink)
  return (
    mealOf(day, dish).at
    + late
    - (fieldAt(starts, `${dish.id}.${dish.sink}`) + sink.dur[1] + dish.ready)
  )
}

/** What it costs that a dish stands ready some minutes before its meal, in minutes' worth. */
export function earlyCost(day: Day, dish: DayDish, early: number): number {
  return (
    day.weights.early[dish.serve] * early
    + day.weights.stale[dish.serve] * Math.max(0, early - day.weights.window[dish.serve])
  )
}
