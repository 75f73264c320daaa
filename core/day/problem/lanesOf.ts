import { itemAt } from '../../maths/table/itemAt'
import { handsOf, vesselsOf } from './checkPlan'
import type { Activity, Day, Starts } from './day'
import { holdsOf, serves } from './holdsOf'

/** A step on a lane, minutes. */
export interface LaneSpan {
  /** `dish.activity`; a hold has that of its first step. */
  readonly step: string
  readonly dish: string
  readonly from: number
  readonly to: number
  /** Share of a person, or 1. */
  readonly much: number
}

/** Who does what, on which fire, in which vessel: the first index that is free. */
export interface Lanes {
  readonly hands: readonly (readonly LaneSpan[])[]
  readonly fires: readonly (readonly LaneSpan[])[]
  readonly vessels: readonly { readonly id: string, readonly spans: readonly LaneSpan[] }[]
}

/** One step of a plan with its times. */
export interface PlannedStep {
  readonly step: string
  readonly dish: string
  readonly from: number
  readonly to: number
  readonly activity: Activity
}

/**
 * The steps of a plan in order of their start, reheats among them.
 *
 * @param day the day the plan was made for
 * @param starts start minutes by `dish.activity`
 */
export function stepsOf(day: Day, starts: Starts): PlannedStep[] {
  return day.dishes.flatMap((dish) => {
    const again = starts[`${dish.id}.reheat`]
    const heat = dish.activities.find(activity => activity.id === dish.hotPour?.heat)
    const reheat: Activity[] =
      again !== undefined && dish.hotPour && heat
        ? [{ ...heat, id: 'reheat', dur: dish.hotPour.reheat.dur, grinder: 0 }]
        : []
    return [...dish.activities, ...reheat].flatMap((activity): PlannedStep[] => {
      const step = `${dish.id}.${activity.id}`
      const from = starts[step]
      return from === undefined ? [] : [{ step, dish: dish.id, from, to: from + activity.dur[1], activity }]
    })
  }).sort((a, b) => a.from - b.from)
}

/**
 * Lays a plan out in lanes. Where a day has run out of its plan and steps overlap, each goes to who is least busy then,
 * so that nothing is left out.
 *
 * @param day the day the plan was made for
 * @param starts start minutes by `dish.activity`
 */
export function lanesOf(day: Day, starts: Starts): Lanes {
  const steps = stepsOf(day, starts)
  const doing = handsOf(day, steps) ?? leastBusy(day, steps)
  const hands = Array.from({ length: day.cooks }, (_, cook) =>
    steps.filter(one => doing.get(one.step) === cook).map(one => span(one, one.activity.hands)),
  )
  const fires: LaneSpan[][] = Array.from({ length: day.burners }, () => [])
  for (const one of steps.filter(step => step.activity.burner > 0)) {
    const free = fires.find(lane => lane.every(other => other.to <= one.from || other.from >= one.to))
    const least = free ?? [...fires].sort((a, b) => overlaps(a, one) - overlaps(b, one))[0]
    least?.push(span(one, 1))
  }
  const holds = day.dishes.flatMap(dish => holdsOf(dish).flatMap((hold) => {
    const first = steps.find(one => one.step === `${dish.id}.${hold.first}`)
    const last = steps.find(one => one.step === `${dish.id}.${hold.last}`)
    return first && last
      ? [
          {
            need: hold.need,
            step: first.step,
            dish: dish.id,
            from: first.from,
            to: last.to + (day.washMin ?? 0),
            end: last.to,
          },
        ]
      : []
  }))
  const taken = vesselsOf(day, holds) ?? new Map(holds.map((held) => {
    const able = day.vessels.filter(vessel => serves(held.need, vessel.kind))
    return [held, able[0]?.id ?? '']
  }))
  return {
    hands, fires,
    vessels: day.vessels.map(vessel => ({
      id: vessel.id,
      spans: holds
        .filter(held => taken.get(held) === vessel.id)
        .map(held => ({ step: held.step, dish: held.dish, from: held.from, to: held.end, much: 1 })),
    })),
  }
}

/** Every step with somebody who may do it and has least else to do then. */
function leastBusy(day: Day, steps: readonly PlannedStep[]): Map<string, number> {
  const lanes: PlannedStep[][] = Array.from({ length: day.cooks }, () => [])
  const doing = new Map<string, number>()
  for (const one of steps.filter(step => step.activity.hands > 0)) {
    const able = lanes.map((_, cook) => cook).filter(cook => !one.activity.cooks || one.activity.cooks.includes(cook))
    const cook = able.sort((a, b) => overlaps(itemAt(lanes, a), one) - overlaps(itemAt(lanes, b), one))[0]
    if (cook === undefined) continue
    itemAt(lanes, cook).push(one)
    doing.set(one.step, cook)
  }
  return doing
}

function overlaps(
  lane: readonly { readonly from: number, readonly to: number }[],
  one: { readonly from: number, readonly to: number },
): number {
  return lane.reduce((sum, other) => sum + Math.max(0, Math.min(other.to, one.to) - Math.max(other.from, one.from)), 0)
}

function span(one: PlannedStep, much: number): LaneSpan {
  return { step: one.step, dish: one.dish, from: one.from, to: one.to, much }
}
