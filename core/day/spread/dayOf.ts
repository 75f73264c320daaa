import type { Activity, Away, Day, DayDish, Link, VesselKind } from '../problem/day'
import type { Part } from '../../formulation/dish/dish'
import { familyOf } from '../../formulation/family/families'
import { mostStandingH } from '../../process/keeping/keepingOf'
import { DAY_WEIGHTS } from '../problem/dayWeights'
import { USUAL_ROOM_C } from '../../record/plan/usualRoom'
import { lastsForAll } from './shareable'
import type { Spread, SpreadDish } from './spread'

/** Minutes of a calendar day. */
export const DAY_MIN = 1440
/** What is counted only where a day names any: a slab sets on what there is, and so it is with the cold. */
const COUNTED_IF_NAMED: ReadonlySet<VesselKind> = new Set(['tray', 'cold'])
/** A meal may move this far where it cannot be kept, minutes. */
const MOST_LATE = 720
/** What perishes, by its part in a dish. */
const PERISHING: ReadonlySet<Part> = new Set<Part>(['milk', 'milk-solids', 'condensed', 'fruit', 'juice'])

/**
 * The planning problem of a household's day: dishes with their steps, who is there when, what there is, and what was
 * wished. What is begun or done stands where it happened.
 *
 * @param spread the day as it is kept
 * @param now minute before which nothing can begin
 */
export function dayOf(spread: Spread, now: number): Day {
  const last = Math.max(0, ...spread.meals.map(meal => meal.at))
  const dishes = spread.dishes.map(dish => dishOf(spread, dish))
  return {
    id: spread.id,
    now: Math.max(0, Math.round(now)),
    horizon: last + MOST_LATE,
    cooks: spread.hands.length,
    burners: spread.fires.length,
    away: [
      ...nightsOf(spread, last + MOST_LATE),
      ...spread.hands.flatMap((hand, cook) => hand.away.map((away): Away => ({ cook, ...away }))),
    ],
    vessels: spread.vessels.map(({ id, kind, litres }) => ({ id, kind, ...(litres === undefined ? {} : { litres }) })),
    meals: spread.meals.map(({ id, at }) => ({ id, at })),
    weights: DAY_WEIGHTS,
    dishes,
    links: linksOf(spread, dishes),
    washMin: spread.washMin,
    spans: 'percentiles',
    wishes: spread.wishes.filter(wish =>
      dishes.some(dish => dish.activities.some(activity => `${dish.id}.${activity.id}` === wish.step)),
    ),
  }
}

function nightsOf({ nights }: Spread, until: number): Away[] {
  if (!nights || nights.from === nights.to) return []
  const spans: Away[] = []
  for (let day = -1; day * DAY_MIN < until; day++) {
    const from = day * DAY_MIN + nights.from
    const to = (nights.to > nights.from ? day : day + 1) * DAY_MIN + nights.to
    if (to > 0) spans.push({ cook: 'all', from: Math.max(0, from), to, why: 'sleep' })
  }
  return spans
}

/** A dish without the steps that another's serve, at the fire only those who roast. */
function dishOf(spread: Spread, dish: SpreadDish): DayDish {
  const spared = new Set(spread.shared.filter(one => one.for === dish.id).map(one => one.step))
  const roasters = spread.hands.flatMap((hand, cook) => (hand.roasts ? [cook] : []))
  const lends = spread.shared.filter(one => one.from === dish.id)
  const { steps } = dish
  return {
    id: dish.id, template: dish.card.id, meal: dish.meal, serve: dish.serve, sink: steps.sink, ready: steps.ready,
    activities: steps.activities
      .filter(activity => !spared.has(activity.id))
      .map(activity =>
        lent(
          spread,
          activity,
          lends.filter(one => one.step === activity.id).map(one => one.for),
        ),
      )
      .map(activity =>
        activity.hands > 0 && (activity.hot || activity.burner > 0) && roasters.length < spread.hands.length
          ? { ...activity, cooks: roasters }
          : activity,
      ),
    lags: steps.lags.filter(lag => !spared.has(lag.from) && !spared.has(lag.to)),
    holds: steps.holds.filter(
      hold =>
        !spared.has(hold.first)
        && (!COUNTED_IF_NAMED.has(hold.need) || spread.vessels.some(vessel => vessel.kind === hold.need)),
    ),
    ...(steps.hotPour ? { hotPour: steps.hotPour } : {}),
    ...standsOf(dish),
  }
}

/** Days of older versions did not ask whether a dish perishes: there what may is held to the two hours. */
function standsOf({ card, steps }: SpreadDish): Pick<DayDish, 'stands'> {
  if (steps.stands !== undefined) return steps.stands === null ? {} : { stands: steps.stands }
  const mayPerish =
    familyOf(card.family).fresh || card.ingredients.some(one => one.part !== undefined && PERISHING.has(one.part))
  return mayPerish ? { stands: { from: steps.sink, most: 60 * mostStandingH(USUAL_ROOM_C) } } : {}
}

/** A step with what it lasts for all dishes it is done for. */
function lent(spread: Spread, activity: Activity, others: readonly string[]): Activity {
  const theirs = spread.dishes
    .filter(dish => others.includes(dish.id))
    .flatMap(dish => dish.steps.activities.filter(one => one.id === activity.id))
  return { ...activity, dur: lastsForAll(activity.id, activity.dur, theirs.map(one => one.dur)) }
}

/** What was made for both has to be there for the other as well. */
function linksOf(spread: Spread, dishes: readonly DayDish[]): Link[] {
  return spread.shared.flatMap(({ step, from, for: id }) => {
    const other = spread.dishes.find(dish => dish.id === id)
    const here = dishes.find(dish => dish.id === from)
    if (!other || !here?.activities.some(activity => activity.id === step)) return []
    const spared = new Set(spread.shared.filter(one => one.for === id).map(one => one.step))
    return other.steps.lags
      .filter(lag => lag.from === step && !spared.has(lag.to))
      .map((lag): Link => ({ from: `${from}.${step}`, to: `${id}.${lag.to}`, min: lag.min, max: null, kind: lag.kind }))
  })
}
