import { activityOf, dishOf, mealOf, partsOfStep } from '../problem/parts'
import { entryAt, fieldAt } from '../../maths/table/itemAt'
import { nobodyThere } from '../problem/presence'
import { standsOver } from '../problem/checkPlan'
import type { Day, Starts } from '../problem/day'
import { dispatchDay } from '../planning/dispatchDay'
import { lanesOf, stepsOf, type Lanes, type PlannedStep } from '../problem/lanesOf'
import { overbooked } from '../problem/overbooked'
import { STANDS } from '../problem/outsideCold'
import type { StepProgress } from './spread'
import { underWay } from './underWay'

/**
 * Something that no longer holds after a repair; `lacking` is a step for which no fire, hands or vessel is left,
 * without minutes.
 */
export interface Broken {
  readonly kind: 'late' | 'waits-long' | 'stands-long' | 'cold-pour' | 'lacking'
  readonly about: string
  readonly minutes: number
}

/** A new order is worth it if it saves this much lateness, minutes. */
export const WORTH_NEW_ORDER_MIN = 10

/** A plan after something went otherwise. */
export interface Repaired {
  readonly starts: Starts
  /** Minutes each meal is late now, by id; those in time are left out. */
  readonly late: Readonly<Record<string, number>>
  /** Minutes of all of them. */
  readonly lateMin: number
  readonly broken: readonly Broken[]
  /** Steps that begin at another minute than before. */
  readonly moved: readonly string[]
  /** True where the order was given up for plain dispatch. */
  readonly dispatched: boolean
}

/** An arc of the repair: the later step begins at least so long after the start of the earlier. */
interface Arc { readonly from: string, readonly to: string, readonly least: number, readonly longest: boolean }

/**
 * Repairs a plan after a step went otherwise: the order on every lane is kept, steps move only as far as they must,
 * what is begun stays. Where that breaks more than plain forward dispatch would, or books what is no longer there,
 * dispatch is taken. There is always an answer.
 *
 * @param planned the day the plan was made for
 * @param starts the plan
 * @param doings what is begun and done, minutes
 * @param now minute
 * @param own the day with the durations as they are now, where those of the plan had room in them
 */
export function repairDay(
  planned: Day,
  starts: Starts,
  doings: readonly StepProgress[],
  now: number,
  own: Day = planned,
): Repaired {
  const day = underWay(own, doings, now)
  const begun = new Map(doings.flatMap(one => (one.begun === null ? [] : [[one.step, one.begun] as const])))
  const answer = (after: Record<string, number>, dispatched: boolean): Repaired => {
    const lacking = overbooked(day, after, new Set(begun.keys())).map((about): Broken => ({
      kind: 'lacking',
      about,
      minutes: 0,
    }))
    const broken = [...brokenBy(day, after, begun), ...lacking]
    const late = Object.fromEntries(
      broken.flatMap(one => (one.kind === 'late' ? [[one.about, one.minutes] as const] : [])),
    )
    return {
      starts: after,
      late,
      lateMin: Object.values(late).reduce((sum, minutes) => sum + minutes, 0),
      broken,
      dispatched,
      moved: Object.keys(after).filter(step => after[step] !== starts[step]),
    }
  }
  const kept = answer(keepOrder(planned, day, starts, begun), false)
  if (kept.broken.length === 0) return kept
  const plain = answer(dispatchDay(day, starts, begun), true)
  const lacks = ({ broken }: Repaired): number => broken.filter(one => one.kind === 'lacking').length
  if (lacks(plain) !== lacks(kept)) return lacks(plain) < lacks(kept) ? plain : kept
  return harm(plain.broken) < harm(kept.broken) ? plain : kept
}

/** How much is broken: late minutes weigh like minutes waited too long; each break a little by itself. */
function harm(broken: readonly Broken[]): number {
  return broken.reduce((sum, one) => sum + one.minutes + 1, 0)
}

/**
 * Least times that keep order, waits and whereabouts: longest paths (Bellman and Ford), longest waits given up where
 * they cannot hold.
 */
function keepOrder(planned: Day, day: Day, starts: Starts, begun: ReadonlyMap<string, number>): Record<string, number> {
  const steps = stepsOf(day, starts)
  const lanes = lanesOf(planned, starts)
  const arcs = arcsOf(planned, day, lanes, steps)
  const closed = closedTo(day, lanes)
  const at = new Map(steps.map(one => [one.step, begun.get(one.step) ?? Math.max(day.now, one.from)]))
  const given = new Set<Arc>()
  for (let round = 0; round < 2 * steps.length + 10; round++) {
    let moved = false
    for (const arc of arcs) {
      if (given.has(arc)) continue
      const least = entryAt(at, arc.from) + arc.least
      if (entryAt(at, arc.to) >= least) continue
      if (begun.has(arc.to) || (arc.longest && round > steps.length)) {
        given.add(arc)
        continue
      }
      at.set(arc.to, least)
      moved = true
    }
    for (const one of steps) {
      if (begun.has(one.step)) continue
      const free = outOf(closed.get(one.step) ?? [], one.activity.dur[1], entryAt(at, one.step))
      if (free === at.get(one.step)) continue
      at.set(one.step, free)
      moved = true
    }
    if (!moved) break
  }
  return Object.fromEntries(at)
}

/** Spans closed to each step: its cook is away, or nobody is there to watch the flame. */
function closedTo(day: Day, lanes: Lanes): Map<string, [number, number][]> {
  const closed = new Map<string, [number, number][]>()
  const add = (step: string, spans: readonly [number, number][]): void =>
    void closed.set(
      step,
      [...(closed.get(step) ?? []), ...spans].sort((a, b) => a[0] - b[0]),
    )
  lanes.hands.forEach((lane, cook) => {
    const away = day.away
      .filter(one => one.cook === 'all' || one.cook === cook)
      .map((one): [number, number] => [one.from, one.to])
    for (const span of lane) add(span.step, away)
  })
  for (const lane of lanes.fires) for (const span of lane) add(span.step, nobodyThere(day))
  return closed
}

/** First minute from which a step fits between closed spans. */
function outOf(closed: readonly [number, number][], lasts: number, from: number): number {
  let at = from
  for (const [start, end] of closed) if (start < at + lasts && at < end) at = end
  return at
}

function arcsOf(planned: Day, day: Day, lanes: Lanes, steps: readonly PlannedStep[]): Arc[] {
  const lasts = new Map(steps.map(one => [one.step, one.activity.dur[1]]))
  const arcs: Arc[] = []
  const add = (from: string, to: string, min: number, max: number | null): void => {
    if (!lasts.has(from) || !lasts.has(to)) return
    arcs.push({ from, to, least: entryAt(lasts, from) + min, longest: false })
    if (max !== null) arcs.push({ from: to, to: from, least: -entryAt(lasts, from) - max, longest: true })
  }
  for (const dish of day.dishes) {
    for (const lag of dish.lags) add(`${dish.id}.${lag.from}`, `${dish.id}.${lag.to}`, lag.min, lag.max)
    if (!dish.hotPour) continue
    const again = lasts.has(`${dish.id}.reheat`)
    const { heat, pour, max, reheat } = dish.hotPour
    if (!again) add(`${dish.id}.${heat}`, `${dish.id}.${pour}`, 0, max)
    else {
      add(`${dish.id}.${heat}`, `${dish.id}.reheat`, 0, null)
      add(`${dish.id}.${heat}`, `${dish.id}.${pour}`, 0, reheat.maxWait)
      add(`${dish.id}.reheat`, `${dish.id}.${pour}`, 0, max)
    }
  }
  for (const link of day.links ?? []) add(link.from, link.to, link.min, link.max)
  for (const lane of [...lanes.hands, ...lanes.fires]) {
    for (const a of lane) for (const b of lane) if (a.to <= b.from) add(a.step, b.step, 0, null)
  }
  for (const { spans } of lanes.vessels) {
    for (const a of spans)
      for (const b of spans) if (a.to <= b.from) add(lastHeld(planned, a.step), b.step, planned.washMin ?? 0, null)
  }
  return arcs
}

/**
 * Last step of the hold that begins with a step.
 *
 * @param day with the dish
 * @param first step, `dish.activity`
 */
export function lastHeld(day: Day, first: string): string {
  const [id, activity] = partsOfStep(first)
  const dish = dishOf(day, id)
  return `${id}.${dish.holds.find(hold => hold.first === activity)?.last ?? activity}`
}

/**
 * What no longer holds of a plan under way: meals that are late, bases that wait too long, liquids that are cold.
 *
 * @param day under way
 * @param starts start minutes
 * @param begun start of what is begun, by step: what is done is not held against the plan
 */
export function brokenBy(day: Day, starts: Starts, begun: ReadonlyMap<string, number>): Broken[] {
  const late: Record<string, number> = {}
  const broken: Broken[] = []
  const end = (dish: string, activity: string): number =>
    fieldAt(starts, `${dish}.${activity}`)
    + activityOf(dishOf(day, dish), activity).dur[1]
  for (const dish of day.dishes) {
    const by = end(dish.id, dish.sink) + dish.ready - mealOf(day, dish).at
    if (by > 0) late[dish.meal] = Math.max(late[dish.meal] ?? 0, by)
    for (const lag of dish.lags) {
      if (lag.max === null || begun.has(`${dish.id}.${lag.to}`)) continue
      const over = fieldAt(starts, `${dish.id}.${lag.to}`) - end(dish.id, lag.from) - lag.max
      if (over > 0)
        broken.push({
          kind: lag.kind === STANDS ? 'stands-long' : 'waits-long',
          about: `${dish.id}.${lag.from}`,
          minutes: over,
        })
    }
    const stood = standsOver(day, dish, starts, Math.max(0, by))
    if (dish.stands && stood > 0)
      broken.push({ kind: 'stands-long', about: `${dish.id}.${dish.stands.from}`, minutes: stood })
    if (!dish.hotPour || begun.has(`${dish.id}.${dish.hotPour.pour}`)) continue
    const hot =
      starts[`${dish.id}.reheat`] === undefined
        ? end(dish.id, dish.hotPour.heat)
        : fieldAt(starts, `${dish.id}.reheat`) + dish.hotPour.reheat.dur[1]
    const over = fieldAt(starts, `${dish.id}.${dish.hotPour.pour}`) - hot - dish.hotPour.max
    if (over > 0) broken.push({ kind: 'cold-pour', about: `${dish.id}.${dish.hotPour.pour}`, minutes: over })
  }
  return [...broken, ...Object.entries(late).map(([meal, minutes]): Broken => ({ kind: 'late', about: meal, minutes }))]
}
