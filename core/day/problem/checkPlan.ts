import { activityOf, dishOf, mealOf, partsOfStep } from './parts'
import { fieldAt, itemAt } from '../../maths/table/itemAt'
import type { Activity, Day, DayDish, Starts } from './day'
import { holdsOf } from './holdsOf'

/** Something a plan must not do, with where and when (minute), as data. */
export interface Breach {
  readonly kind:
    | 'missing'
    | 'before-now'
    | 'lag'
    | 'late'
    | 'too-early'
    | 'stands'
    | 'hands'
    | 'fires'
    | 'vessels'
    | 'nobody-there'
    | 'cold-pour'
    | 'reheat'
    | 'wish'
  readonly step: string
  readonly minute: number
}

/** One span of a plan that takes something. */
interface Busy { readonly step: string, readonly from: number, readonly to: number, readonly activity: Activity }

/**
 * Checks a plan minute by minute, with nothing of the planner in it: every constraint of the day is counted anew, at
 * likely durations.
 *
 * @param day the day
 * @param starts start minutes by `dish.activity`
 * @param late minutes each meal may be later, by id
 * @returns what is wrong; empty for a plan that can be done
 */
export function checkPlan(day: Day, starts: Starts, late: Readonly<Record<string, number>> = {}): Breach[] {
  const missing = day.dishes
    .flatMap(dish => dish.activities.map(activity => `${dish.id}.${activity.id}`))
    .filter(step => starts[step] === undefined)
  if (missing.length > 0) return missing.map(step => ({ kind: 'missing', step, minute: 0 }))
  const busy = day.dishes.flatMap(dish => busyOf(dish, starts))
  return [
    // What is held at a start in the past is begun.
    ...busy
      .filter(
        one =>
          one.from < day.now
          && !(day.wishes ?? []).some(wish => wish.kind === 'pin' && wish.step === one.step && wish.start === one.from),
      )
      .map((one): Breach => ({ kind: 'before-now', step: one.step, minute: one.from })),
    ...day.dishes.flatMap(dish => [
      ...lagBreaches(dish, starts),
      ...tableBreaches(day, dish, starts, late[dish.meal] ?? 0),
      ...standBreaches(day, dish, starts, late[dish.meal] ?? 0),
      ...pourBreaches(dish, starts),
    ]),
    ...linkBreaches(day, starts),
    ...wishBreaches(day, starts),
    ...minuteBreaches(day, busy),
    ...vesselBreaches(day, starts),
  ]
}

function likely(dish: DayDish, id: string): number {
  return activityOf(dish, id).dur[1]
}

function busyOf(dish: DayDish, starts: Starts): Busy[] {
  const steps = dish.activities.map((activity): Busy => {
    const step = `${dish.id}.${activity.id}`
    return { step, from: fieldAt(starts, step), to: fieldAt(starts, step) + activity.dur[1], activity }
  })
  const again = starts[`${dish.id}.reheat`]
  if (again === undefined || !dish.hotPour) return steps
  const heat = activityOf(dish, dish.hotPour.heat)
  return [
    ...steps,
    {
      step: `${dish.id}.reheat`,
      from: again,
      to: again + dish.hotPour.reheat.dur[1],
      activity: { ...heat, id: 'reheat', dur: dish.hotPour.reheat.dur, burner: 1, grinder: 0 },
    },
  ]
}

function lagBreaches(dish: DayDish, starts: Starts): Breach[] {
  return dish.lags.flatMap((lag) => {
    const wait = fieldAt(starts, `${dish.id}.${lag.to}`) - fieldAt(starts, `${dish.id}.${lag.from}`) - likely(dish, lag.from)
    return wait >= lag.min && (lag.max === null || wait <= lag.max)
      ? []
      : [{ kind: 'lag', step: `${dish.id}.${lag.to}`, minute: fieldAt(starts, `${dish.id}.${lag.to}`) } as const]
  })
}

function linkBreaches(day: Day, starts: Starts): Breach[] {
  return (day.links ?? []).flatMap((link) => {
    const [dish, activity] = partsOfStep(link.from)
    const wait = fieldAt(starts, link.to) - fieldAt(starts, link.from) - likely(dishOf(day, dish), activity)
    return wait >= link.min && (link.max === null || wait <= link.max)
      ? []
      : [{ kind: 'lag', step: link.to, minute: fieldAt(starts, link.to) } as const]
  })
}

function wishBreaches(day: Day, starts: Starts): Breach[] {
  return (day.wishes ?? []).flatMap((wish) => {
    const from = fieldAt(starts, wish.step)
    const [dish, activity] = partsOfStep(wish.step)
    const to = from + likely(dishOf(day, dish), activity)
    const kept = wish.kind === 'pin' ? from === wish.start : to <= wish.from || from >= wish.to
    return kept ? [] : [{ kind: 'wish', step: wish.step, minute: from } as const]
  })
}

function tableBreaches(day: Day, dish: DayDish, starts: Starts, late: number): Breach[] {
  const step = `${dish.id}.${dish.sink}`
  const early =
    mealOf(day, dish).at + late - (fieldAt(starts, step) + likely(dish, dish.sink) + dish.ready)
  if (early < 0) return [{ kind: 'late', step, minute: fieldAt(starts, step) }]
  return early > day.weights.maxEarly[dish.serve] ? [{ kind: 'too-early', step, minute: fieldAt(starts, step) }] : []
}

function standBreaches(day: Day, dish: DayDish, starts: Starts, late: number): Breach[] {
  if (!dish.stands || !(standsOver(day, dish, starts, late) > 0)) return []
  const step = `${dish.id}.${dish.stands.from}`
  return [{ kind: 'stands', step, minute: fieldAt(starts, step) }]
}

/**
 * Minutes that a dish stands longer outside the cold than it may; 0 or less where it keeps to it, or does not perish.
 *
 * @param day with the meal
 * @param dish of it
 * @param starts start minutes by `dish.activity`
 * @param late minutes its meal is later
 */
export function standsOver(day: Day, dish: DayDish, starts: Starts, late: number): number {
  if (!dish.stands) return 0
  const { from, most } = dish.stands
  return (
    mealOf(day, dish).at
    + late
    - (fieldAt(starts, `${dish.id}.${from}`) + likely(dish, from))
    - most
  )
}

function pourBreaches(dish: DayDish, starts: Starts): Breach[] {
  if (!dish.hotPour) return []
  const { heat, pour, max, reheat } = dish.hotPour
  const pours = fieldAt(starts, `${dish.id}.${pour}`)
  const hot = fieldAt(starts, `${dish.id}.${heat}`) + likely(dish, heat)
  const again = starts[`${dish.id}.reheat`]
  const step = `${dish.id}.${pour}`
  if (again === undefined)
    return pours - hot >= 0 && pours - hot <= max ? [] : [{ kind: 'cold-pour', step, minute: pours }]
  const hotAgain = again + reheat.dur[1]
  const kept = again >= hot && pours >= hotAgain && pours - hotAgain <= max && pours - hot <= reheat.maxWait
  return kept ? [] : [{ kind: 'reheat', step, minute: pours }]
}

function minuteBreaches(day: Day, busy: readonly Busy[]): Breach[] {
  const breaches: Breach[] = []
  const from = Math.min(...busy.map(one => one.from))
  const to = Math.max(...busy.map(one => one.to))
  for (let minute = from; minute < to; minute++) {
    const going = busy.filter(one => one.from <= minute && minute < one.to)
    const gone = (cook: number): boolean =>
      day.away.some(away => (away.cook === 'all' || away.cook === cook) && away.from <= minute && minute < away.to)
    const there = Array.from({ length: day.cooks }, (_, cook) => cook).filter(cook => !gone(cook)).length
    const fires = going.filter(one => one.activity.burner > 0)
    const last = going.at(-1)
    if (!last) continue
    if (going.reduce((sum, one) => sum + Number(one.activity.hands), 0) > there)
      breaches.push({ kind: 'hands', step: last.step, minute })
    if (fires.length > day.burners) breaches.push({ kind: 'fires', step: last.step, minute })
    if (fires.length > 0 && there === 0) breaches.push({ kind: 'nobody-there', step: itemAt(fires, 0).step, minute })
  }
  if (!handsOf(day, busy)) breaches.push({ kind: 'hands', step: '', minute: from })
  return breaches
}

/** Who does what, so that nobody hands a pan over; null if that cannot be. */
export function handsOf(day: Day, busy: readonly Busy[]): Map<string, number> | null {
  const steps = busy.filter(one => one.activity.hands > 0).sort((a, b) => a.from - b.from || b.to - a.to)
  const doing = new Map<string, number>()
  let tries = 0
  const fits = (one: Busy, cook: number): boolean => {
    if (one.activity.cooks && !one.activity.cooks.includes(cook)) return false
    if (day.away.some(away => (away.cook === 'all' || away.cook === cook) && away.from < one.to && one.from < away.to))
      return false
    const others = steps.filter(
      other => other !== one && doing.get(other.step) === cook && other.from < one.to && one.from < other.to,
    )
    return [one.from, ...others.map(other => other.from)].filter(minute => minute >= one.from).every((minute) => {
      const hands = others
        .filter(other => other.from <= minute && minute < other.to)
        .map(other => Number(other.activity.hands))
      return hands.reduce((sum, some) => sum + some, one.activity.hands) <= 1
    })
  }
  const place = (index: number): boolean => {
    const one = steps[index]
    if (!one) return true
    for (let cook = 0; cook < day.cooks; cook++) {
      if (tries++ > 200_000 || !fits(one, cook)) continue
      doing.set(one.step, cook)
      if (place(index + 1)) return true
      doing.delete(one.step)
    }
    return false
  }
  return place(0) ? doing : null
}

function vesselBreaches(day: Day, starts: Starts): Breach[] {
  const wash = day.washMin ?? 0
  const holds = day.dishes.flatMap(dish =>
    holdsOf(dish).map(hold => ({
      need: hold.need,
      step: `${dish.id}.${hold.first}`,
      from: fieldAt(starts, `${dish.id}.${hold.first}`),
      to: fieldAt(starts, `${dish.id}.${hold.last}`) + likely(dish, hold.last) + wash,
    })),
  )
  const taken = vesselsOf(day, holds)
  return taken ? [] : [{ kind: 'vessels', step: '', minute: 0 }]
}

interface Held { readonly need: string, readonly step: string, readonly from: number, readonly to: number }

/** Which vessel each hold takes, so that none is changed on the way; null if that cannot be. */
export function vesselsOf(day: Day, holds: readonly Held[]): Map<Held, string> | null {
  const sorted = [...holds].sort((a, b) => a.from - b.from)
  const taken = new Map<Held, string>()
  let tries = 0
  const place = (index: number): boolean => {
    const held = sorted[index]
    if (!held) return true
    const able = day.vessels
      .filter(vessel => vessel.kind === held.need || (held.need === 'heavy' && vessel.kind === 'heavyL'))
      .sort((a, b) => Number(b.kind === held.need) - Number(a.kind === held.need))
    for (const vessel of able) {
      const clash = sorted
        .slice(0, index)
        .some(other => taken.get(other) === vessel.id && other.from < held.to && held.from < other.to)
      if (clash || tries++ > 200_000) continue
      taken.set(held, vessel.id)
      if (place(index + 1)) return true
      taken.delete(held)
    }
    return false
  }
  return place(0) ? taken : null
}
