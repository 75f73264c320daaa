import type { Activity, Day, DayDish, VesselKind } from '../problem/day'
import { holdsOf } from '../problem/holdsOf'
import { STANDS } from '../problem/outsideCold'
import { DaySolver } from './solveDay'

/** Kinds of what may stand against the rest of a day. */
export const CLASH_KINDS = [
  'time', 'freshness', 'keeping', 'washing', 'waits', 'shared', 'vessel', 'fires', 'hands', 'who', 'away', 'wish',
] as const
export type ClashKind = (typeof CLASH_KINDS)[number]

/** One of the things that a day asks for and that cannot all be had: which, and about what. */
export interface Clash {
  readonly kind: ClashKind
  /**
   * A dish (keeping, waits, who), a kind of vessel, a step (wish), a link `from to` (shared) or why somebody is away;
   * else the day.
   */
  readonly about: string
}

/** Seconds given to the proof that a day without something is still impossible. */
const PROOF_S = 1
/** Minutes by which a day is lengthened where its end is in question: two days more. */
const LONGER_MIN = 2880
/** Minutes that any wait may last once its most is in question. */
const ANY_MIN = 100_000

interface Demand extends Clash { without(day: Day): Day }

/**
 * Why a day cannot be done at all: a set of what it asks for that cannot be had together, none of which could be spared
 * from it (deletion filter for an irreducible infeasible subset: Chinneck and Dravnieks, ORSA Journal on Computing 3,
 * 1991). What is easiest to give up, wishes and absences, is kept longest, so that it is named.
 *
 * @param day a day that no plan fits
 * @param seconds a clock, s
 * @returns what clashes; null where it is not proven that nothing fits. Yields null where something else may be let in
 */
export function* clashOf(day: Day, seconds: () => number): Generator<null, Clash[] | null> {
  if (!(yield* isImpossible(day, seconds))) return null
  let left = day
  const clash: Clash[] = []
  for (const { kind, about, without } of demandsOf(day)) {
    const fewer = without(left)
    if (yield* isImpossible(fewer, seconds)) left = fewer
    else clash.push({ kind, about })
  }
  return clash
}

/** Whether it is proven, in time, that no plan fits. */
function* isImpossible(day: Day, seconds: () => number): Generator<null, boolean> {
  const solver = new DaySolver(day)
  const until = seconds() + PROOF_S
  while (!solver.done && !solver.plan && seconds() < until) {
    solver.step(() => seconds() > until)
    yield null
  }
  return solver.impossible
}

/** What a day asks for, what is hardest to give up first. */
function demandsOf(day: Day): Demand[] {
  return [...ofTheDay(day), ...ofItsDishes(day), ...ofItsKitchen(day), ...ofItsPeople(day)]
}

function ofTheDay(day: Day): Demand[] {
  const about = day.id
  const maxEarly = { hot: ANY_MIN, warm: ANY_MIN, room: ANY_MIN, cold: ANY_MIN }
  const washes = (day.washMin ?? 0) > 0
  return [
    { kind: 'time', about, without: one => ({ ...one, horizon: one.horizon + LONGER_MIN }) },
    { kind: 'freshness', about, without: one => ({ ...one, weights: { ...one.weights, maxEarly } }) },
    ...(washes ? [{ kind: 'washing' as const, about, without: (one: Day): Day => ({ ...one, washMin: 0 }) }] : []),
  ]
}

function ofItsDishes(day: Day): Demand[] {
  return [
    ...day.dishes.filter(dish => dish.stands || dish.lags.some(lag => lag.kind === STANDS)).map((dish): Demand => ({
      kind: 'keeping', about: dish.id, without: one => keepingLong(one, dish.id),
    })),
    ...day.dishes.map((dish): Demand => ({ kind: 'waits', about: dish.id, without: one => waitingLong(one, dish.id) })),
    ...(day.links ?? []).map((link): Demand => ({
      kind: 'shared',
      about: `${link.from} ${link.to}`,
      without: one => ({ ...one, links: one.links?.filter(other => other !== link) }),
    })),
  ]
}

function ofItsKitchen(day: Day): Demand[] {
  const needs = [...new Set(day.dishes.flatMap(dish => holdsOf(dish).map(hold => hold.need)))]
  return [
    ...needs.map((need): Demand => ({ kind: 'vessel', about: need, without: one => withoutVessel(one, need) })),
    { kind: 'fires', about: day.id, without: one => ({ ...one, burners: stepsOf(one) }) },
  ]
}

/** Hands, who may do what, absences, and what was wished. */
function ofItsPeople(day: Day): Demand[] {
  const choosy = day.dishes.filter(dish => dish.activities.some(activity => activity.cooks))
  const reasons = [...new Set(day.away.map(away => away.why))]
  return [
    { kind: 'hands', about: day.id, without: one => ({ ...one, cooks: one.cooks + stepsOf(one) }) },
    ...choosy.map((dish): Demand => ({ kind: 'who', about: dish.id, without: one => byAnyone(one, dish.id) })),
    ...reasons.map((why): Demand => ({
      kind: 'away',
      about: why,
      without: one => ({ ...one, away: one.away.filter(away => away.why !== why) }),
    })),
    ...(day.wishes ?? []).map((wish): Demand => ({
      kind: 'wish',
      about: wish.step,
      without: one => ({ ...one, wishes: one.wishes?.filter(other => other !== wish) }),
    })),
  ]
}

function stepsOf(day: Day): number {
  return day.dishes.reduce((sum, dish) => sum + dish.activities.length, 0)
}

/** A day with one of its dishes changed. */
function changed(day: Day, id: string, change: (dish: DayDish) => DayDish): Day {
  return { ...day, dishes: day.dishes.map(dish => (dish.id === id ? change(dish) : dish)) }
}

/** A day on which a dish bears every wait between its steps. */
function waitingLong(day: Day, id: string): Day {
  return changed(day, id, dish => ({
    ...dish,
    lags: dish.lags.map(lag => ({ ...lag, max: null })),
    ...(dish.hotPour ? { hotPour: { ...dish.hotPour, max: ANY_MIN } } : {}),
  }))
}

/** A day on which a dish bears to stand outside the cold for as long as one likes. */
function keepingLong(day: Day, id: string): Day {
  return changed(day, id, ({ stands: _, ...dish }) => ({
    ...dish,
    lags: dish.lags.map(lag => (lag.kind === STANDS ? { ...lag, max: null } : lag)),
  }))
}

function withoutVessel(day: Day, need: VesselKind): Day {
  const unheld = (activity: Activity): Activity => (need === 'grinder' ? { ...activity, grinder: 0 } : activity)
  return { ...day, dishes: day.dishes.map(dish => ({
    ...dish,
    holds: dish.holds.filter(hold => hold.need !== need),
    activities: dish.activities.map(unheld),
  })) }
}

function byAnyone(day: Day, id: string): Day {
  return changed(day, id, dish => ({
    ...dish,
    activities: dish.activities.map(activity => ({ ...activity, cooks: undefined })),
  }))
}
