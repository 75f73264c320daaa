import { INGREDIENTS } from '../book/ingredients'
import { STARTER_DISHES } from '../book/dishes'
import type { Kitchen } from '../contracts/kitchen'
import type { Spread } from '../contracts/spread'
import type { Evidence } from '../core/materials/belief/reading'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { cookOnDay, dishOnDay, vesselsOfKitchen } from '../core/day/spread/putOnDay'
import type { ServedHow } from '../core/day/problem/day'
import { dayOf } from '../core/day/spread/dayOf'
import { planDay, type PlanTold } from '../core/day/planning/planDay'

/** Seconds of a clock that moves so far at every look. */
const LONGEST_S = 2
const TICK_S = 0.02
/** Runs of each dish's forecast. */
const MEMBERS = 120
/** Dishes of an invented evening of lamps: id in the book, base, meal, serving. */
const DISHES: readonly (readonly [dish: string, baseG: number, meal: string, serve: ServedHow])[] = [
  ['marble-gram-balls', 260, 'm2', 'room'],
  ['one-thread-gram', 240, 'm2', 'room'],
  ['winter-market-carrot', 900, 'm2', 'warm'],
  ['long-spoon-mung', 200, 'm1', 'hot'],
  ['sweet-water-semolina', 180, 'm2', 'hot'],
]

/**
 * The demo house's next large day: five dishes, two meals, two pairs of hands.
 *
 * @param kitchen of the house
 * @param evidence what its batches have taught
 * @param eve calendar date of the eve, ISO 8601
 * @param now minute of the eve
 */
export function lampEvening(kitchen: Kitchen, evidence: readonly Evidence[], eve: string, now: number): Spread {
  return withPlan({
    id: 'lamp-evening', revision: 0, name: 'Lamp evening', eve,
    meals: [{ id: 'm1', name: 'Lunch', at: 1440 + 13 * 60 }, { id: 'm2', name: 'Lamps', at: 1440 + 19 * 60 }],
    dishes: DISHES.map(([dish, baseG, meal, serve], i) => {
      const card = STARTER_DISHES.find(one => one.id === dish)!
      const wanted = { id: `d${i + 1}`, card, baseG, meal, serve }
      const cook = cookOnDay(wanted, kitchen, INGREDIENTS, evidence)
      return dishOnDay(wanted, cook, forecastCook(cook.plan, [], 0, MEMBERS), INGREDIENTS)
    }),
    hands: [
      {
        id: 'h1',
        name: 'Your hands',
        roasts: true,
        away: [{ from: 1440 + 14 * 60, to: 1440 + 15 * 60, why: 'market' }],
      },
      {
        id: 'h2',
        name: 'Ilan’s hands',
        roasts: false,
        away: [{ from: 1440 + 8 * 60, to: 1440 + 16 * 60, why: 'at work' }],
      },
    ],
    nights: { from: 22 * 60 + 30, to: 6 * 60 + 30 }, ...vesselsOfKitchen(kitchen), washMin: 5, wishes: [], shared: [],
    promises: [
      { id: 'p1', whom: 'Aunt Meru', dish: 'd1', what: '12 balls', at: 1440 + 18 * 60, given: false },
      { id: 'p2', whom: 'Next door', dish: 'd2', what: 'a plate of squares', at: 1440 + 19 * 60, given: false },
    ],
    plan: null, doings: [], cooks: [],
  }, now)
}

/** The day with a plan: sought for so many looks at a clock that moves by itself, so that it is the same every time. */
function withPlan(spread: Spread, now: number): Spread {
  let seconds = 0
  const found: Partial<Record<PlanTold['type'], PlanTold>> = {}
  for (const told of planDay(dayOf(spread, now), LONGEST_S, () => seconds += TICK_S)) if (told) found[told.type] = told
  const { plan, tries, latest } = found
  if (plan?.type !== 'plan' || !plan.plan || tries?.type !== 'tries' || latest?.type !== 'latest') return spread
  const { tries: tried, lateTries, pours, coldPours } = tries.tries
  return {
    ...spread,
    plan: {
      ...plan.plan,
      latest: latest.latest,
      least: latest.least,
      tries: { tries: tried, lateTries, pours, coldPours },
    },
  }
}

