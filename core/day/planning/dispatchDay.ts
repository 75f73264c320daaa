import { dishOf, partsOfStep } from '../problem/parts'
import { fieldAt } from '../../maths/table/itemAt'
import type { Day, Starts } from '../problem/day'
import { holdsOf, serves } from '../problem/holdsOf'
import { stepsOf, type PlannedStep } from '../problem/lanesOf'
import { cooksThere } from '../problem/presence'

/** What a dispatched step took. */
interface Taken { readonly from: number, readonly to: number, readonly cook: number | null, readonly step: PlannedStep }

/**
 * Plain forward dispatch (the parallel scheduling scheme of Kelley, 1963): minute after minute whatever may begin does,
 * in the order of the plan, as soon as what it waits for is done and hands, fires and vessels are free. Longest waits
 * are not heeded. Where vessels are held for what waits for others, what is waited for goes ahead, and at last dish
 * follows dish, so that there is always an answer.
 *
 * @param day under way, with the durations as they are now
 * @param starts the plan, whose order is taken
 * @param begun start of what is begun, by step
 */
export function dispatchDay(day: Day, starts: Starts, begun: ReadonlyMap<string, number>): Record<string, number> {
  const steps = stepsOf(day, starts)
  const ahead = new Set<string>()
  for (;;) {
    const { taken, stuck } = inOrder(day, steps, begun, step => (ahead.has(step.step) ? 0 : 1))
    if (stuck.length === 0) return startsOf(taken)
    const blocked = new Set(stuck.filter(step => takesVessel(day, step)).map(step => step.step))
    const more = openHolds(day, taken)
      .flatMap(last => [last, ...neededBy(day, last)])
      .filter(step => blocked.has(step))
      .flatMap(step => [step, ...neededBy(day, step)])
      .filter(step => !ahead.has(step))
    if (more.length === 0) break
    for (const step of more) ahead.add(step)
  }
  const firsts = new Map(
    day.dishes.map(dish => [
      dish.id,
      Math.min(...steps.filter(step => step.dish === dish.id).map(step => fieldAt(starts, step.step))),
    ]),
  )
  const byDish = [...firsts].sort((a, b) => a[1] - b[1]).map(([dish]) => dish)
  const { taken, stuck } = inOrder(
    day,
    steps,
    begun,
    step => 2 * byDish.indexOf(step.dish) + (ahead.has(step.step) ? 0 : 1),
  )
  const last = Math.max(day.now, ...[...taken.values()].map(one => one.to))
  return { ...startsOf(taken), ...Object.fromEntries(stuck.map(step => [step.step, last])) }
}

function startsOf(taken: ReadonlyMap<string, Taken>): Record<string, number> {
  return Object.fromEntries([...taken].map(([step, one]) => [step, one.from]))
}

/**
 * Dispatches; a step that takes a vessel waits for all steps of a lower rank to be begun. What can never begin is
 * stuck.
 */
function inOrder(
  day: Day,
  steps: readonly PlannedStep[],
  begun: ReadonlyMap<string, number>,
  rankOf: (step: PlannedStep) => number,
): { taken: Map<string, Taken>, stuck: PlannedStep[] } {
  const taken = new Map<string, Taken>()
  const known = new Set(steps.map(step => step.step))
  for (const step of steps) {
    const from = begun.get(step.step)
    if (from !== undefined)
      taken.set(step.step, {
        from,
        to: from + step.activity.dur[1],
        cook: cookFor(day, step, from, step.activity.dur[1], taken) ?? anybody(day, step),
        step,
      })
  }
  let left = steps.filter(step => !taken.has(step.step)).sort((a, b) => rankOf(a) - rankOf(b) || a.from - b.from)
  for (let minute = day.now; left.length > 0;) {
    for (const step of left) {
      const least = Math.min(...left.filter(one => !taken.has(one.step)).map(rankOf))
      if (rankOf(step) > least && takesVessel(day, step)) continue
      const lasts = step.activity.dur[1]
      if (earliest(day, step, taken, known) > minute || !fits(day, step, minute, lasts, taken)) continue
      taken.set(step.step, { from: minute, to: minute + lasts, cook: cookFor(day, step, minute, lasts, taken), step })
    }
    left = left.filter(step => !taken.has(step.step))
    const next = nextEvent(day, left, taken, known, minute)
    if (next === null) break
    minute = next
  }
  return { taken, stuck: left }
}

/**
 * Next minute at which something that waits may begin: something ends, a wait is over, somebody is back; null if there
 * is none.
 */
function nextEvent(
  day: Day,
  left: readonly PlannedStep[],
  taken: ReadonlyMap<string, Taken>,
  known: ReadonlySet<string>,
  minute: number,
): number | null {
  const events = [
    ...day.away.map(away => away.to),
    ...[...taken.values()].flatMap(one => [one.to, one.to + (day.washMin ?? 0)]),
    ...left.map(step => earliest(day, step, taken, known)),
  ].filter(at => at > minute && Number.isFinite(at))
  return events.length > 0 ? Math.min(...events) : null
}

/** Last steps of holds that are begun and not given back. */
function openHolds(day: Day, taken: ReadonlyMap<string, Taken>): string[] {
  return day.dishes.flatMap(dish =>
    holdsOf(dish)
      .filter(hold => taken.has(`${dish.id}.${hold.first}`) && !taken.has(`${dish.id}.${hold.last}`))
      .map(hold => `${dish.id}.${hold.last}`),
  )
}

function takesVessel(day: Day, step: PlannedStep): boolean {
  return holdsOf(dishOf(day, step.dish)).some(hold => hold.first === step.activity.id)
}

/** Steps that have to be done before a step, near and far. */
function neededBy(day: Day, step: string): string[] {
  const [id, activity] = partsOfStep(step)
  const dish = dishOf(day, id)
  const needed = new Set<string>()
  const add = (to: string): void => {
    for (const from of [
      ...dish.lags.filter(lag => lag.to === to).map(lag => lag.from),
      ...(dish.hotPour?.pour === to ? [dish.hotPour.heat] : []),
    ]) {
      if (needed.has(`${id}.${from}`)) continue
      needed.add(`${id}.${from}`)
      add(from)
    }
  }
  add(activity)
  return [...needed]
}

/**
 * Earliest minute by what a step waits for; infinite as long as some of that is not begun. What is not of the plan is
 * not waited for.
 */
function earliest(day: Day, step: PlannedStep, taken: ReadonlyMap<string, Taken>, known: ReadonlySet<string>): number {
  const dish = dishOf(day, step.dish)
  const end = (id: string): number => (known.has(id) ? taken.get(id)?.to ?? Infinity : 0)
  const ends = [
    ...dish.lags.filter(lag => lag.to === step.activity.id).map(lag => end(`${dish.id}.${lag.from}`) + lag.min),
    ...(day.links ?? []).filter(link => link.to === step.step).map(link => end(link.from) + link.min),
  ]
  if (dish.hotPour && step.activity.id === dish.hotPour.pour)
    ends.push(end(`${dish.id}.${dish.hotPour.heat}`), end(`${dish.id}.reheat`))
  if (dish.hotPour && step.activity.id === 'reheat') ends.push(end(`${dish.id}.${dish.hotPour.heat}`))
  return Math.max(0, ...ends)
}

function fits(day: Day, step: PlannedStep, from: number, lasts: number, taken: ReadonlyMap<string, Taken>): boolean {
  const over = [...taken.values()].filter(one => one.from < from + lasts && from < one.to)
  if (step.activity.burner > 0) {
    const fires = over.filter(one => one.step.activity.burner > 0)
    if (
      fires.some(one => fires.filter(other => other.from <= one.from && one.from < other.to).length >= day.burners)
      || nobody(day, from, from + lasts)
    )
      return false
  }
  if (step.activity.hands > 0 && handsOver(day, from, over) + step.activity.hands > 0) return false
  if (step.activity.hands > 0 && cookFor(day, step, from, lasts, taken) === null) return false
  return vesselFree(day, step, from, taken)
}

/** Hands busy at a minute beyond those that are there; negative where some are free. */
function handsOver(day: Day, minute: number, over: readonly Taken[]): number {
  return (
    over.filter(one => one.from <= minute).reduce((sum, one) => sum + Number(one.step.activity.hands), 0)
    - cooksThere(day, minute)
  )
}

function nobody(day: Day, from: number, to: number): boolean {
  return Array.from({ length: day.cooks }, (_, cook) => cook).every(cook => isAway(day, cook, from, to))
}

function isAway(day: Day, cook: number, from: number, to: number): boolean {
  return day.away.some(away => (away.cook === 'all' || away.cook === cook) && away.from < to && from < away.to)
}

/** Who is free for all of a step, or null. */
function cookFor(
  day: Day,
  step: PlannedStep,
  from: number,
  lasts: number,
  taken: ReadonlyMap<string, Taken>,
): number | null {
  if (step.activity.hands === 0) return null
  for (let cook = 0; cook < day.cooks; cook++) {
    if ((step.activity.cooks && !step.activity.cooks.includes(cook)) || isAway(day, cook, from, from + lasts)) continue
    const mine = [...taken.values()].filter(one => one.cook === cook && one.from < from + lasts && from < one.to)
    if (
      [from, ...mine.map(one => one.from)].every(
        minute =>
          mine
            .filter(one => one.from <= minute && minute < one.to)
            .reduce((sum, one) => sum + Number(one.step.activity.hands), Number(step.activity.hands)) <= 1,
      )
    )
      return cook
  }
  return null
}

/** Who is busy with a step that is begun though nobody was free for it. */
function anybody(day: Day, step: PlannedStep): number | null {
  return step.activity.hands === 0 ? null : step.activity.cooks?.find(cook => cook < day.cooks) ?? 0
}

/**
 * Whether a vessel of the kind is free where a step is the first of a hold; one that is not given back yet stays taken.
 */
function vesselFree(day: Day, step: PlannedStep, from: number, taken: ReadonlyMap<string, Taken>): boolean {
  const dish = dishOf(day, step.dish)
  return holdsOf(dish).filter(hold => hold.first === step.activity.id).every((hold) => {
    const there = day.vessels.filter(vessel => serves(hold.need, vessel.kind)).length
    const held = day.dishes.flatMap(other =>
      holdsOf(other)
        .filter(one => serves(one.need, hold.need) || serves(hold.need, one.need))
        .filter(one => {
          const first = taken.get(`${other.id}.${one.first}`)
          const last = taken.get(`${other.id}.${one.last}`)
          return first !== undefined && (last === undefined || last.to + (day.washMin ?? 0) > from)
        }),
    )
    return held.length < there
  })
}
