import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import type { Uniform } from '../../core/maths/random/seededRandom'
import { checkDay } from '../../core/day/problem/checkDay'
import type { Day, ServedHow, Starts } from '../../core/day/problem/day'
import { dayOf } from '../../core/day/spread/dayOf'
import { PADDING, paddedDay } from '../../core/day/problem/paddedDay'
import { cookOnDay, dishOnDay, vesselsOfKitchen } from '../../core/day/spread/putOnDay'
import { DaySolver } from '../../core/day/planning/solveDay'
import type { Spread, SpreadDish } from '../../core/day/spread/spread'

/** Steps on a fire that are not the dish's own line. */
const BESIDE: readonly string[] = ['warm-through', 'nuts', 'khoya', 'nuts-last', 'melt']
const SERVINGS: readonly ServedHow[] = ['hot', 'warm', 'room', 'cold']
const kitchen = (roomC: number) => ({
  ...FIRST_KITCHEN,
  pans: [
    ...FIRST_KITCHEN.pans,
    { ...FIRST_KITCHEN.pans.find(pan => pan.kind === 'pot')!, id: 'pot-2', name: 'Second pot' },
  ],
  settings: [{ roomC }],
})
const cooked = new Map<
  string,
  Parameters<typeof dishOnDay>[1] & { readonly forecast: Parameters<typeof dishOnDay>[2] }
>()

/** A dish of the book on a day, its forecast made once. */
export function standingDish(id: string, serve: ServedHow, roomC: number, more: Partial<SpreadDish> = {}): SpreadDish {
  const card = STARTER_DISHES.find(dish => dish.id === id)!
  const wanted = { id: 'd1', card, baseG: card.usual.baseG, meal: 'm1', serve, ...more }
  const key = `${id} ${roomC}`
  if (!cooked.has(key)) {
    const cook = cookOnDay(wanted, kitchen(roomC), INGREDIENTS, [])
    cooked.set(key, { ...cook, forecast: forecastCook(cook.plan, [], 0, 8) })
  }
  const cook = cooked.get(key)!
  return dishOnDay(wanted, cook, cook.forecast, INGREDIENTS)
}

/** A day for dishes, as a household keeps it. */
export function dayWith(dishes: readonly SpreadDish[], more: Partial<Spread> = {}): Spread {
  return {
    id: 'day',
    revision: 0,
    name: 'Day',
    eve: '2026-11-28',
    meals: [{ id: 'm1', name: 'Dinner', at: 1440 + 19 * 60 }],
    dishes,
    hands: [{ id: 'h1', name: 'You', roasts: true, away: [] }],
    nights: { from: 1350, to: 390 },
    ...vesselsOfKitchen(kitchen(27)),
    washMin: 5,
    wishes: [],
    shared: [],
    promises: [],
    plan: null,
    doings: [],
    cooks: [],
    ...more,
  }
}

/**
 * A day drawn by chance: one to four dishes for one or two meals, somebody away for some hours, a cool or a hot room.
 */
export function randomDay(uniform: Uniform): { readonly spread: Spread, readonly roomC: number } {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)]!
  const roomC = pick([24, 34])
  const meals = [
    { id: 'm1', name: 'Dinner', at: 1440 + 18 * 60 + Math.floor(uniform() * 180) },
    { id: 'm2', name: 'Noon', at: 1440 + 12 * 60 + Math.floor(uniform() * 120) },
  ]
  const dishes = Array.from({ length: 1 + Math.floor(uniform() * 4) }, (_, i) =>
    standingDish(pick(STARTER_DISHES).id, pick(SERVINGS), roomC, {
      id: `d${i + 1}`,
      meal: pick(meals).id,
      ...(uniform() < 0.3 ? { chills: true } : {}),
    }),
  )
  const from = 1440 + 9 * 60 + Math.floor(uniform() * 420)
  const away = uniform() < 0.6 ? [{ from, to: from + 60 + Math.floor(uniform() * 300), why: 'out' }] : []
  const other = uniform() < 0.4 ? [{ id: 'h2', name: 'Other', roasts: true, away: [] }] : []
  return { spread: dayWith(dishes, { meals, hands: [{ id: 'h1', name: 'You', roasts: true, away }, ...other] }), roomC }
}

/** The first plan of a day with room for delays, meals moved where they must be; null where there is none. */
export function firstPlan(
  spread: Spread,
  now = 0,
): { readonly day: Day, readonly starts: Starts, readonly late: Readonly<Record<string, number>> } | null {
  for (const padding of [PADDING, { ...PADDING, baseShare: 1 }]) {
    const day = paddedDay(dayOf(spread, now), padding)
    if (checkDay(day).length > 0) return null
    const solver = new DaySolver(day)
    for (let i = 0; i < 60 && !solver.done && !solver.plan; i++) solver.step(() => solver.plan !== null)
    if (solver.plan) return { day, starts: solver.plan.starts, late: solver.plan.late }
  }
  return null
}

/**
 * Minutes that a dish stands outside the cold between its last fire and its meal, counted by hand: all of them but
 * those from going into the cold to being taken out; what is warmed through stands from then on.
 */
export function standsMin(
  spread: Spread,
  id: string,
  { day, starts, late }: NonNullable<ReturnType<typeof firstPlan>>,
): number {
  const dish = day.dishes.find(one => one.id === id)!
  const meal = day.meals.find(one => one.id === dish.meal)!.at + (late[dish.meal] ?? 0)
  const of = (step: string): number => starts[`${id}.${step}`]!
  const end = (step: string): number => of(step) + dish.activities.find(one => one.id === step)!.dur[1]
  const has = (step: string): boolean => dish.activities.some(one => one.id === step)
  const pans = dish.holds.filter(
    hold => (hold.need === 'heavy' || hold.need === 'heavyL') && !BESIDE.includes(hold.first),
  )
  const main = pans.reduce((last, hold) => (end(hold.last) > end(last.last) ? hold : last))
  const heated = dish.activities.filter(
    one => one.burner > 0 && !BESIDE.includes(one.id) && end(one.id) <= end(main.last),
  )
  const off = Math.max(...heated.map(one => end(one.id)))
  if (!has('chill')) return meal - off
  const out = has('take-out') ? of('take-out') : of(dish.holds.find(hold => hold.need === 'cold')?.last ?? 'cut')
  return of('chill') - off + (meal - out) - (has('warm-through') ? end('warm-through') - of('warm-through') : 0)
}
