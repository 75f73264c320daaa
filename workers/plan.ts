import type { Planned, PlannerAnswer, PlannerQuestion } from '../contracts/planner'
import { seededRandom } from '../core/random/seededRandom'
import { checkDay } from '../core/schedule/checkDay'
import type { Day } from '../core/schedule/day'
import { mealAlone } from '../core/schedule/latestStart'
import { reliefsOf } from '../core/schedule/offersOf'
import { paddedDay, paddingOf } from '../core/schedule/paddedDay'
import { planCost } from '../core/schedule/planCost'
import { simulateDay } from '../core/schedule/simulateDay'
import { DaySolver } from '../core/schedule/solveDay'

/** Tries of a plan, seconds for the proof of a latest start, and for each thing that may help. */
const TRIES = 400
const LATEST_S = 1
const OFFER_S = 0.7
/** Minutes that stand for a day that cannot be done at all. */
const CANNOT = 1_000_000
/** Room given to the steps: more where the usual leaves too many late meals, unless there is no time to seek. */
const ROOMS = [1, 1.8, 2.8] as const
const MOST_LATE_SHARE = 0.05
const LEAST_FOR_ROOM_S = 2
/** Progress is told this often, s. */
const TELL_S = 0.25

/**
 * Answers one question of the planner in steps of a few hundredths of a second.
 *
 * @param question a day to be planned or to be helped
 * @param seconds clock, s
 * @returns yields answers with the question's ticket, and null where messages may be let in
 */
export function* planSteps(question: Exclude<PlannerQuestion, { type: 'stop' }>, seconds: () => number): Generator<PlannerAnswer | null, void> {
  const { ticket, day } = question
  const troubles = checkDay(day)
  if (troubles.length > 0) {
    yield { type: 'refused', ticket, troubles }
    return
  }
  if (question.type === 'offers') yield* offers(ticket, day, seconds)
  else yield* plan(ticket, day, question.seconds, seconds)
}

function* plan(ticket: number, day: Day, most: number, seconds: () => number): Generator<PlannerAnswer | null, void> {
  const began = seconds()
  for (const room of ROOMS) {
    const padded = paddedDay(day, paddingOf(room))
    const solver = new DaySolver(padded)
    yield* solving(ticket, solver, room, began, most, seconds)
    if (!solver.plan) {
      yield { type: 'plan', ticket, plan: null, done: true, seconds: seconds() - began }
      return
    }
    const { late, starts } = solver.plan
    const moved = { ...day, meals: day.meals.map(meal => ({ ...meal, at: meal.at + (late[meal.id] ?? 0) })) }
    const tries = simulateDay(moved, starts, { ...padded, meals: moved.meals }, TRIES, seededRandom(1))
    const isLast = room === ROOMS.at(-1) || seconds() - began > most || most < LEAST_FOR_ROOM_S
    if (!isLast && tries.lateTries > MOST_LATE_SHARE * TRIES) continue
    yield { type: 'tries', ticket, tries }
    yield { type: 'plan', ticket, plan: plannedOf(solver, room), done: true, seconds: seconds() - began }
    yield* latest(ticket, moved, seconds)
    return
  }
}

/** Seeks one plan; the plans of the usual room are told on the way. */
function* solving(ticket: number, solver: DaySolver, room: number, began: number, most: number, seconds: () => number): Generator<PlannerAnswer | null, void> {
  let told = -1
  let cost = Infinity
  const until = seconds() + Math.max(most / 2, most - (seconds() - began))
  while (!solver.done && seconds() < until) {
    solver.step(() => seconds() > until)
    const better = solver.plan !== null && solver.plan.cost < cost
    if (better || seconds() - told > TELL_S) {
      told = seconds()
      cost = solver.plan?.cost ?? cost
      yield { type: 'plan', ticket, plan: plannedOf(solver, room), done: false, seconds: seconds() - began }
    }
    else yield null
  }
}

function plannedOf(solver: DaySolver, room: number): Planned | null {
  return solver.plan ? { ...solver.plan, bound: solver.bound, proven: solver.proven, room } : null
}

/** For each meal the last minute at which anybody could begin, where that is proven in time. */
function* latest(ticket: number, day: Day, seconds: () => number): Generator<PlannerAnswer | null, void> {
  const found: Record<string, number> = {}
  for (const meal of day.meals.filter(one => day.dishes.some(dish => dish.meal === one.id))) {
    const alone = mealAlone(day, meal.id)
    const solver = new DaySolver(alone)
    const began = seconds()
    while (!solver.done && seconds() - began < LATEST_S) {
      solver.step(() => seconds() - began > LATEST_S)
      yield null
    }
    if (!solver.proven || Object.values(solver.plan!.late).some(minutes => minutes > 0)) continue
    const begins = planCost(alone, solver.plan!.starts).begins[meal.id]
    if (begins !== undefined) found[meal.id] = begins
  }
  yield { type: 'latest', ticket, latest: found }
}

function* offers(ticket: number, day: Day, seconds: () => number): Generator<PlannerAnswer | null, void> {
  const judged = function* (changed: Day): Generator<null, { lateMin: number, spanMin: number }> {
    const padded = paddedDay(changed)
    const solver = new DaySolver(padded)
    const began = seconds()
    while (!solver.done && seconds() - began < OFFER_S) {
      solver.step(() => seconds() - began > OFFER_S)
      yield null
    }
    if (!solver.plan) return { lateMin: CANNOT, spanMin: CANNOT }
    const spans = planCost(padded, solver.plan.starts, solver.plan.late).spans
    return { lateMin: sum(Object.values(solver.plan.late)), spanMin: sum(Object.values(spans)) }
  }
  const now = yield* judged(day)
  const found = []
  for (const relief of reliefsOf(day)) {
    const { lateMin, spanMin } = yield* judged(relief.day)
    if (lateMin < now.lateMin || spanMin < now.spanMin) found.push({ kind: relief.kind, lateMin, spanMin })
    yield { type: 'offers', ticket, now, offers: [...found], done: false }
  }
  yield { type: 'offers', ticket, now, offers: found, done: true }
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, one) => total + one, 0)
}
