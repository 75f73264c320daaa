import { fieldAt, known } from '../../maths/table/itemAt'
import { seededRandom } from '../../maths/random/seededRandom'
import { clashOf, type Clash } from './clashOf'
import type { Day, DayWeights, ServedHow, Starts } from '../problem/day'
import { mealAlone } from '../problem/latestStart'
import { reliefsOf, type Relief } from '../problem/offersOf'
import { PADDING, paddedDay, paddingOf, type Padding } from '../problem/paddedDay'
import { planCost } from '../problem/planCost'
import { simulateDay, type DayTries } from './simulateDay'
import { DaySolver } from './solveDay'

/** A plan on the way or at its end. */
export interface Planned {
  readonly starts: Starts
  /** Minutes each meal is moved, by id; empty where all are kept. */
  readonly late: Readonly<Record<string, number>>
  readonly cost: number
  readonly bound: number
  readonly proven: boolean
  /** How much more room than usual its steps were given, for what may take longer: 1 is usual. */
  readonly room: number
}

/** What is told while a day is planned. */
export type PlanTold =
  /** `done` false on the way; a plan of null with `done` means that it cannot be done at all. */
  | { readonly type: 'plan', readonly plan: Planned | null, readonly done: boolean, readonly seconds: number }
  /** Why it cannot be done at all: what cannot be had together. */
  | { readonly type: 'clash', readonly clash: readonly Clash[] }
  | { readonly type: 'tries', readonly tries: DayTries }
  /** Minute after which nobody could begin for a meal, by meal; only where that is proven. */
  | { readonly type: 'latest', readonly latest: Readonly<Record<string, number>>, readonly least: Least }

/**
 * What no plan can do with less of: minutes that hot and warm dishes wait, liquids heated again; null where that is not
 * proven.
 */
export interface Least { readonly waitMin: number | null, readonly reheats: number | null }

/** What one more of something does: minutes the meals are late with it, and minutes in the kitchen. */
export interface Offer { readonly kind: Relief['kind'], readonly lateMin: number, readonly spanMin: number }

/** What the plan at hand comes to: the room its steps have, minutes that meals are late, and minutes in the kitchen. */
export interface PlanAtHand { readonly room: number, readonly lateMin: number, readonly spanMin: number }

/** What would help, as far as it is tried. */
export interface OffersTold {
  readonly now: { readonly lateMin: number, readonly spanMin: number }
  readonly offers: readonly Offer[]
  readonly done: boolean
}

/** Tries of a plan; seconds for the proof of a latest start, and for each thing that may help. */
const TRIES = 400
const LATEST_S = 1
const OFFER_S = 0.7
/** Room given to the steps: more where the usual leaves too many late meals, unless there is no time to seek. */
const ROOMS = [1, 1.8, 2.8] as const
const MOST_LATE_SHARE = 0.05
const LEAST_FOR_ROOM_S = 2
/**
 * A plan with more room that may be worse than the best by this share of its cost is a rough one: the one with less
 * room stands.
 */
const ROUGH = 0.15
/** A plan sought for less is looked at for a moment only, while something is moved, and is not tried. */
const LEAST_FOR_TRIES_S = 1
/** What is eaten hot or warm cools while it waits. */
const COOLS: readonly ServedHow[] = ['hot', 'warm']
/** Weights by which nothing counts. */
const NOTHING = {
  span: 0,
  reheat: 0,
  early: { hot: 0, warm: 0, room: 0, cold: 0 },
  stale: { hot: 0, warm: 0, room: 0, cold: 0 },
} as const
/** Minutes that stand for a day that cannot be done at all. */
const CANNOT = 1_000_000
/** Share of the time after which a plan with room for the base is given up. */
const BASE_SHARE = 0.25
/** A first plan is waited for so much longer, s. */
const FIRST_PLAN_S = 8
/** Progress is told this often, s. */
const TELL_S = 0.25

/**
 * Plans a day with room for what goes slower, tries the plan, and finds how late one could begin; in steps of a few
 * hundredths of a second. Asked for less than a second, it plans only.
 *
 * @param day checked by `checkDay`, with its own durations
 * @param most seconds a plan may be sought
 * @param seconds a clock, s
 * @returns yields what is found, and null where something else may be let in
 */
export function* planDay(day: Day, most: number, seconds: () => number): Generator<PlanTold | null, void> {
  const began = seconds()
  let held: Tried | null = null
  for (const room of ROOMS) {
    const { padded, solver } = yield* roomy(day, room, began, most, seconds)
    if (!solver.plan || most < LEAST_FOR_TRIES_S) {
      if (solver.impossible) {
        const clash = yield* clashOf(padded, seconds)
        if (clash) yield { type: 'clash', clash }
      }
      yield { type: 'plan', plan: plannedOf(solver, room), done: true, seconds: seconds() - began }
      return
    }
    const rough: Tried | null =
      held !== null && solver.plan.cost - solver.bound > ROUGH * solver.plan.cost ? held : null
    const found: Tried = rough ?? tried(day, padded, solver, room)
    const isLast = rough !== null || room === ROOMS.at(-1) || seconds() - began > most || most < LEAST_FOR_ROOM_S
    held = found
    if (!isLast && found.tries.lateTries > MOST_LATE_SHARE * TRIES) continue
    yield { type: 'tries', tries: found.tries }
    yield { type: 'plan', plan: plannedOf(found.solver, found.room), done: true, seconds: seconds() - began }
    yield* latest(found.moved, foundPlan(found.solver).starts, seconds)
    return
  }
}

/** A plan with so much room, how it fared, and the day with its meals where the plan has them. */
interface Tried { readonly room: number, readonly solver: DaySolver, readonly tries: DayTries, readonly moved: Day }

/** The plan of a solver that has found one. */
function foundPlan(solver: DaySolver): NonNullable<DaySolver['plan']> {
  return known(solver.plan, 'plan')
}

function tried(day: Day, padded: Day, solver: DaySolver, room: number): Tried {
  const { late, starts } = foundPlan(solver)
  const moved = { ...day, meals: day.meals.map(meal => ({ ...meal, at: meal.at + (late[meal.id] ?? 0) })) }
  return {
    room,
    solver,
    moved,
    tries: simulateDay(moved, starts, { ...padded, meals: moved.meals }, TRIES, seededRandom(1)),
  }
}

/**
 * Seeks a plan with room for the base to wait too; without that where it is not found soon, as a meal would have to
 * move for it.
 */
function* roomy(
  day: Day,
  room: number,
  began: number,
  most: number,
  seconds: () => number,
): Generator<PlanTold | null, { padded: Day, solver: DaySolver }> {
  const until = seconds() + Math.max(most / 2, most - (seconds() - began))
  const soon = seconds() + BASE_SHARE * most
  const tight = paddedDay(day, paddingOf(room))
  const first = new DaySolver(tight)
  yield* solving(
    first,
    room,
    began,
    () => (first.plan ? seconds() > until : first.movesMeals || seconds() > soon),
    seconds,
  )
  if (first.plan && !first.movesMeals) return { padded: tight, solver: first }
  const padded = paddedDay(day, { ...paddingOf(room), baseShare: 1 })
  const solver = new DaySolver(padded)
  // No plan at all would say that there is none: a first one is waited for.
  yield* solving(solver, room, began, () => seconds() > (solver.plan ? until : until + FIRST_PLAN_S), seconds)
  return { padded, solver }
}

/** Seeks one plan until it is over, telling the best so far. */
function* solving(
  solver: DaySolver,
  room: number,
  began: number,
  over: () => boolean,
  seconds: () => number,
): Generator<PlanTold | null, void> {
  let told = -1
  let cost = Infinity
  while (!solver.done && !over()) {
    solver.step(over)
    const better = solver.plan !== null && solver.plan.cost < cost
    if (better || seconds() - told > TELL_S) {
      told = seconds()
      cost = solver.plan?.cost ?? cost
      yield { type: 'plan', plan: plannedOf(solver, room), done: false, seconds: seconds() - began }
    } else yield null
  }
}

function plannedOf(solver: DaySolver, room: number): Planned | null {
  return solver.plan ? { ...solver.plan, bound: solver.bound, proven: solver.proven, room } : null
}

/** For each meal the last minute at which anybody could begin, where that is proven in time. */
function* latest(day: Day, starts: Starts, seconds: () => number): Generator<PlanTold | null, void> {
  const found: Record<string, number> = {}
  for (const meal of day.meals.filter(one => day.dishes.some(dish => dish.meal === one.id))) {
    const alone = mealAlone(day, meal.id)
    const solver = yield* proving(alone, seconds)
    if (!solver) continue
    const begins = planCost(alone, foundPlan(solver).starts).begins[meal.id]
    if (begins !== undefined) found[meal.id] = begins
  }
  const { waits, reheats } = planCost(day, starts)
  const waited = sum(day.dishes.filter(dish => COOLS.includes(dish.serve)).map(dish => fieldAt(waits, dish.id)))
  const waiting =
    waited === 0 ? 0 : yield* least(day, { ...NOTHING, early: { ...NOTHING.early, hot: 1, warm: 1 } }, seconds)
  const heating = reheats === 0 ? 0 : yield* least(day, { ...NOTHING, reheat: 1 }, seconds)
  yield { type: 'latest', latest: found, least: { waitMin: waiting, reheats: heating } }
}

/** The least that any plan of a day comes to, if only some of it is counted; null where that is not proven in time. */
function* least(day: Day, counted: Partial<DayWeights>, seconds: () => number): Generator<null, number | null> {
  const solver = yield* proving({ ...day, weights: { ...day.weights, ...counted } }, seconds)
  return solver ? Math.round(foundPlan(solver).cost) : null
}

/** Proves the best plan of a day within a time; null where that fails or a meal is moved. */
function* proving(day: Day, seconds: () => number): Generator<null, DaySolver | null> {
  const solver = new DaySolver(day)
  const began = seconds()
  while (!solver.done && seconds() - began < LATEST_S) {
    solver.step(() => seconds() - began > LATEST_S)
    yield null
  }
  return solver.proven && !solver.movesMeals ? solver : null
}

/**
 * Works out what one more of each thing that may bind would do for a day.
 *
 * @param day checked by `checkDay`
 * @param seconds a clock, s
 * @param plan the plan at hand, which every offer is held against; null where there is none
 * @returns yields what is found so far, and null where something else may be let in
 */
export function* helpDay(
  day: Day,
  seconds: () => number,
  plan: PlanAtHand | null = null,
): Generator<OffersTold | null, void> {
  const { padding, now } = plan ? asPlanned(plan) : yield* asFound(day, seconds)
  const offers: Offer[] = []
  for (const relief of reliefsOf(day)) {
    const { lateMin, spanMin } = yield* judged(relief.day, padding, seconds)
    if (lateMin < now.lateMin || (lateMin === now.lateMin && spanMin < now.spanMin))
      offers.push({ kind: relief.kind, lateMin, spanMin })
    yield { now, offers: [...offers], done: false }
  }
  yield { now, offers, done: true }
}

/** What the plan at hand comes to is what an offer has to beat, with the same room for its steps. */
function asPlanned({ room, lateMin, spanMin }: PlanAtHand): {
  readonly padding: Padding
  readonly now: { readonly lateMin: number, readonly spanMin: number }
} {
  // Where meals are moved, plans are sought without room for the base.
  return { padding: { ...paddingOf(room), ...(lateMin > 0 ? { baseShare: 1 } : {}) }, now: { lateMin, spanMin } }
}

/** Without a plan at hand; where room for the base leaves none at all, all are judged without it. */
function* asFound(day: Day, seconds: () => number): Generator<null, ReturnType<typeof asPlanned>> {
  const roomy = yield* judged(day, PADDING, seconds)
  if (roomy.lateMin < CANNOT) return { padding: PADDING, now: roomy }
  const padding = { ...PADDING, baseShare: 1 }
  return { padding, now: yield* judged(day, padding, seconds) }
}

function* judged(
  day: Day,
  padding: Padding,
  seconds: () => number,
): Generator<null, { lateMin: number, spanMin: number }> {
  const padded = paddedDay(day, padding)
  const solver = new DaySolver(padded)
  const began = seconds()
  while (!solver.done && seconds() - began < OFFER_S) {
    solver.step(() => seconds() - began > OFFER_S)
    yield null
  }
  if (!solver.plan) return { lateMin: CANNOT, spanMin: CANNOT }
  return {
    lateMin: sum(Object.values(solver.plan.late)),
    spanMin: sum(Object.values(planCost(padded, solver.plan.starts, solver.plan.late).spans)),
  }
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, one) => total + one, 0)
}
