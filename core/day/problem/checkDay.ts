import { entryAt } from '../../maths/table/itemAt'
import type { Day, DayDish } from './day'
import { holdsOf, serves } from './holdsOf'

/** Why a day cannot be planned at all. */
export const DAY_TROUBLES = [
  'meal-in-past',
  'no-hands',
  'no-fire',
  'no-vessel',
  'step-length',
  'circular-waits',
  'unknown-step',
  'unknown-meal',
  'nobody-may',
  'too-many',
  'nothing-to-cook',
  'twice',
  'reserved-step',
] as const
export type DayTroubleCode = (typeof DAY_TROUBLES)[number]

/** One trouble with a day: which, and about what. */
export interface DayTrouble { readonly code: DayTroubleCode, readonly about: string }

/** Most dishes planned together, and the longest step, minutes: a day and a half. */
export const MOST_DISHES = 60
export const LONGEST_STEP_MIN = 36 * 60

/**
 * What is wrong with a day before any planning: each trouble stands for a sentence in `words/`.
 *
 * @param day any day the contract admits
 * @returns troubles, empty if the day can be given to `DaySolver`
 */
export function checkDay(day: Day): DayTrouble[] {
  if (day.dishes.length === 0) return [{ code: 'nothing-to-cook', about: day.id }]
  if (day.dishes.length > MOST_DISHES) return [{ code: 'too-many', about: String(day.dishes.length) }]
  const troubles = [
    ...twice(day.dishes.map(dish => dish.id)),
    ...day.dishes.flatMap(dish => dishTroubles(day, dish)),
    ...stepTroubles(day),
  ]
  const served = day.meals.filter(meal => day.dishes.some(dish => dish.meal === meal.id))
  troubles.push(
    ...served.filter(meal => meal.at <= day.now).map((meal): DayTrouble => ({ code: 'meal-in-past', about: meal.id })),
  )
  if (!(day.cooks >= 1)) troubles.push({ code: 'no-hands', about: day.id })
  if (day.burners < 1 && day.dishes.some(dish => dish.activities.some(activity => activity.burner > 0)))
    troubles.push({ code: 'no-fire', about: day.id })
  if (troubles.length === 0 && isCircular(day)) troubles.push({ code: 'circular-waits', about: day.id })
  return troubles
}

/** What a plan calls the second heating of a dish's liquid: no step may have this name. */
const REHEAT = 'reheat'

/** What stands in a list more than once, each told once. */
function twice(ids: readonly string[]): DayTrouble[] {
  return [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))].map(about => ({ code: 'twice', about }))
}

function dishTroubles(day: Day, dish: DayDish): DayTrouble[] {
  const troubles: DayTrouble[] = []
  const steps = new Set(dish.activities.map(activity => activity.id))
  troubles.push(...twice(dish.activities.map(activity => `${dish.id}.${activity.id}`)))
  if (steps.has(REHEAT)) troubles.push({ code: 'reserved-step', about: `${dish.id}.${REHEAT}` })
  if (!day.meals.some(meal => meal.id === dish.meal)) troubles.push({ code: 'unknown-meal', about: dish.id })
  const named = [
    dish.sink,
    ...(dish.stands ? [dish.stands.from] : []),
    ...dish.lags.flatMap(lag => [lag.from, lag.to]),
    ...dish.holds.flatMap(hold => [hold.first, hold.last]),
    ...(dish.hotPour ? [dish.hotPour.heat, dish.hotPour.pour] : []),
  ]
  troubles.push(
    ...named
      .filter(step => !steps.has(step))
      .map((step): DayTrouble => ({ code: 'unknown-step', about: `${dish.id}.${step}` })),
  )
  for (const hold of holdsOf(dish)) {
    if (!day.vessels.some(vessel => serves(hold.need, vessel.kind)))
      troubles.push({ code: 'no-vessel', about: hold.need })
  }
  for (const activity of dish.activities) {
    const [shortest, likely, longest] = activity.dur
    const orderly = shortest >= 1 && likely >= shortest && longest >= likely && longest <= LONGEST_STEP_MIN
    if (!orderly) troubles.push({ code: 'step-length', about: `${dish.id}.${activity.id}` })
    if (activity.hands > 0 && activity.cooks && !activity.cooks.some(cook => cook >= 0 && cook < day.cooks))
      troubles.push({ code: 'nobody-may', about: `${dish.id}.${activity.id}` })
  }
  return troubles
}

function stepTroubles(day: Day): DayTrouble[] {
  const steps = new Set<string>(
    day.dishes.flatMap(dish => dish.activities.map(activity => `${dish.id}.${activity.id}`)),
  )
  const named = [
    ...(day.links ?? []).flatMap(link => [link.from, link.to]),
    ...(day.wishes ?? []).map(wish => wish.step),
  ]
  return named.filter(step => !steps.has(step)).map(step => ({ code: 'unknown-step', about: step }))
}

/** True if waits contradict one another: a longest path that grows without end (Bellman and Ford). */
function isCircular(day: Day): boolean {
  const edges: [from: string, to: string, least: number][] = []
  const likely = new Map<string, number>(
    day.dishes.flatMap(dish =>
      dish.activities.map(activity => [`${dish.id}.${activity.id}`, activity.dur[1]] as const),
    ),
  )
  const add = (from: string, to: string, min: number, max: number | null): void => {
    edges.push([from, to, entryAt(likely, from) + min])
    if (max !== null) edges.push([to, from, -entryAt(likely, from) - max])
  }
  for (const dish of day.dishes)
    for (const lag of dish.lags) add(`${dish.id}.${lag.from}`, `${dish.id}.${lag.to}`, lag.min, lag.max)
  for (const link of day.links ?? []) add(link.from, link.to, link.min, link.max)
  const at = new Map([...likely.keys()].map(step => [step, 0]))
  for (let round = 0; round <= at.size; round++) {
    let moved = false
    for (const [from, to, least] of edges) {
      if (entryAt(at, to) >= entryAt(at, from) + least) continue
      at.set(to, entryAt(at, from) + least)
      moved = true
    }
    if (!moved) return false
  }
  return true
}
