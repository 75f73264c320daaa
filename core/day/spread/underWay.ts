import type { Activity, Day, DayDish, Starts, Wish } from '../problem/day'
import type { StepProgress } from './spread'

/** Steps that begin within this are left as they are, minutes. */
export const FROZEN_MIN = 10

/**
 * A day under way: what is begun lasts as long as it did, or longer than now if it goes on; a reheat that is begun is
 * not asked for again.
 *
 * @param day as it was planned
 * @param doings what is begun and done, minutes
 * @param now minute
 */
export function underWay(day: Day, doings: readonly StepProgress[], now: number): Day {
  const doing = new Map(doings.map(one => [one.step, one]))
  const dishes = day.dishes.map((dish): DayDish => ({
    ...dish, activities: dish.activities.map((activity): Activity => {
      const one = doing.get(`${dish.id}.${activity.id}`)
      if (!one || one.begun === null) return activity
      const lasts = Math.max(
        1,
        one.ended === null ? Math.max(activity.dur[1], now + 1 - one.begun) : one.ended - one.begun,
      )
      return { ...activity, dur: [lasts, lasts, Math.max(lasts, one.ended === null ? activity.dur[2] : lasts)] }
    }),
  }))
  return { ...day, now: Math.max(day.now, now), dishes }
}

/**
 * Pins for what is begun and for what begins at once, so that a new order leaves them alone.
 *
 * @param day under way
 * @param starts the plan
 * @param doings what is begun and done
 * @param now minute
 */
export function frozen(day: Day, starts: Starts, doings: readonly StepProgress[], now: number): Wish[] {
  const begun = new Map(doings.flatMap(one => (one.begun === null ? [] : [[one.step, one.begun] as const])))
  return day.dishes.flatMap(dish => dish.activities.flatMap((activity): Wish[] => {
    const step = `${dish.id}.${activity.id}`
    const start = begun.get(step)
    if (start !== undefined) return [{ kind: 'pin', step, start }]
    const planned = starts[step]
    return planned !== undefined && planned >= now && planned < now + FROZEN_MIN
      ? [{ kind: 'pin', step, start: planned }]
      : []
  }))
}

/**
 * What is left of a day under way, to be planned anew: what is begun and what begins at once are held, and waits before
 * what is begun are history.
 *
 * @param planned the day, with the room its steps were given
 * @param starts the plan
 * @param doings what is begun and done
 * @param now minute
 */
export function whatIsLeft(planned: Day, starts: Starts, doings: readonly StepProgress[], now: number): Day {
  const begun = new Set(doings.flatMap(one => (one.begun === null ? [] : [one.step])))
  const wishes = frozen(planned, starts, doings, now)
  const held = new Set(wishes.map(wish => wish.step))
  const going = underWay(planned, doings, now)
  return {
    ...going, wishes: [...(planned.wishes ?? []).filter(wish => !held.has(wish.step)), ...wishes],
    dishes: going.dishes.map((dish): DayDish => {
      const { hotPour, stands, ...rest } = dish
      return {
        ...rest,
        lags: dish.lags.filter(lag => !begun.has(`${dish.id}.${lag.to}`)),
        ...(hotPour && !begun.has(`${dish.id}.${hotPour.pour}`) ? { hotPour } : {}),
        ...(stands && !begun.has(`${dish.id}.${stands.from}`) ? { stands } : {}),
      }
    }),
  }
}
