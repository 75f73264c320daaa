import type { Activity, Day, Starts } from '../problem/day'
import type { FromFire } from './fromFire'
import { lanesOf, stepsOf, type LaneSpan, type Lanes } from '../problem/lanesOf'
import { lastHeld, repairDay, type Repaired } from './repairDay'
import type { StepProgress } from './spread'
import { underWay } from './underWay'

/** A step of today as somebody at the stove needs it. */
export interface TodayStep {
  readonly step: string
  readonly dish: string
  readonly activity: Activity
  /** Minutes; for what goes on, the end is what is now expected. */
  readonly from: number
  readonly to: number
  readonly state: 'done' | 'going' | 'due' | 'later'
}

/** A day under way. */
export interface Today {
  /** The day with the durations as they are now. */
  readonly day: Day
  /** The lanes of the plan, moved. */
  readonly lanes: Lanes
  readonly repaired: Repaired
  /** What is begun and done, marked on the day or at the fire. */
  readonly doings: readonly StepProgress[]
  /** Steps of each pair of hands in order, and those that need none. */
  readonly hands: readonly (readonly TodayStep[])[]
  readonly byThemselves: readonly TodayStep[]
}

/**
 * A day under way: the plan repaired for what is begun, done and late, and what each pair of hands does now and next.
 *
 * @param planned the day the plan was made for, with its room
 * @param own the same day with likely durations
 * @param starts the plan
 * @param doings what was marked on the day
 * @param fire what the cooks at the fire say; they know better than what was marked
 * @param now minute
 */
export function todayOf(
  planned: Day,
  own: Day,
  starts: Starts,
  doings: readonly StepProgress[],
  fire: readonly FromFire[],
  now: number,
): Today {
  const atFire = fire.flatMap(one => one.doings)
  const known = new Map(
    [...doings, ...atFire].filter(one => starts[one.step] !== undefined).map(one => [one.step, one]),
  )
  const spans: Readonly<Record<string, Activity['dur']>> = Object.fromEntries(fire.flatMap(one => Object.entries(one.spans)))
  const timed: Day = {
    ...own,
    dishes: own.dishes.map(dish => ({
      ...dish,
      activities: dish.activities.map(activity => ({
        ...activity,
        dur: spans[`${dish.id}.${activity.id}`] ?? activity.dur,
      })),
    })),
  }
  const repaired = repairDay(planned, starts, [...known.values()], now, timed)
  const lanes = lanesOf(planned, starts)
  const cookOf = new Map(lanes.hands.flatMap((lane, cook) => lane.map(span => [span.step, cook] as const)))
  const steps = stepsOf(timed, repaired.starts).map((one): TodayStep => {
    const doing = known.get(one.step)
    const begun = doing?.begun ?? null
    const state = doing?.ended != null ? 'done' : begun !== null ? 'going' : one.from <= now ? 'due' : 'later'
    const to = doing?.ended ?? (state === 'going' && begun !== null ? Math.max(now, begun + one.activity.dur[1]) : one.to)
    return { step: one.step, dish: one.dish, activity: one.activity, from: begun ?? one.from, to, state }
  })
  return {
    repaired,
    doings: [...known.values()],
    day: underWay(timed, [...known.values()], now),
    lanes: movedLanes(planned, lanes, new Map(steps.map(one => [one.step, one]))),
    hands: Array.from({ length: planned.cooks }, (_, cook) => steps.filter(one => cookOf.get(one.step) === cook)),
    byThemselves: steps.filter(one => !cookOf.has(one.step)),
  }
}

/** Everybody and everything keeps its steps; only their times are others. */
function movedLanes(
  planned: Day,
  lanes: Lanes,
  steps: ReadonlyMap<string, { readonly from: number, readonly to: number }>,
): Lanes {
  const moved = (span: LaneSpan): LaneSpan => ({
    ...span,
    from: steps.get(span.step)?.from ?? span.from,
    to: steps.get(span.step)?.to ?? span.to,
  })
  const held = (span: LaneSpan): LaneSpan => ({
    ...moved(span),
    to: steps.get(lastHeld(planned, span.step))?.to ?? span.to,
  })
  return {
    hands: lanes.hands.map(lane => lane.map(moved)),
    fires: lanes.fires.map(lane => lane.map(moved)),
    vessels: lanes.vessels.map(({ id, spans }) => ({ id, spans: spans.map(held) })),
  }
}
