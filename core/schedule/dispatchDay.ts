import type { Day, Starts } from './day'
import { holdsOf } from './holdsOf'
import { stepsOf, type PlannedStep } from './lanesOf'

/** What a dispatched step took. */
interface Taken { readonly from: number, readonly to: number, readonly cook: number | null, readonly step: PlannedStep }

/** A minute after which nothing is tried any more. */
const MOST_MIN = 4 * 1440

/**
 * Plain forward dispatch: in the order of the plan each step begins as soon as what it waits for is done and hands, fires
 * and vessels are free. Longest waits are not heeded; there is always an answer.
 *
 * @param day under way, with the durations as they are now
 * @param starts the plan, whose order is taken
 * @param begun start of what is begun, by step
 */
export function dispatchDay(day: Day, starts: Starts, begun: ReadonlyMap<string, number>): Record<string, number> {
  const order = stepsOf(day, starts).map(one => ({ ...one, from: begun.get(one.step) ?? one.from })).sort((a, b) => Number(begun.has(b.step)) - Number(begun.has(a.step)) || a.from - b.from)
  const taken = new Map<string, Taken>()
  for (const step of order) {
    const lasts = step.activity.dur[1]
    let from = begun.get(step.step) ?? Math.max(day.now, earliest(day, step, taken))
    if (!begun.has(step.step)) while (from < day.horizon + MOST_MIN && !fits(day, step, from, lasts, taken)) from++
    taken.set(step.step, { from, to: from + lasts, cook: cookFor(day, step, from, lasts, taken), step })
  }
  return Object.fromEntries([...taken].map(([step, one]) => [step, one.from]))
}

/** Earliest minute by what a step waits for. */
function earliest(day: Day, step: PlannedStep, taken: ReadonlyMap<string, Taken>): number {
  const dish = day.dishes.find(one => one.id === step.dish)!
  const ends = [
    ...dish.lags.filter(lag => lag.to === step.activity.id).map(lag => (taken.get(`${dish.id}.${lag.from}`)?.to ?? 0) + lag.min),
    ...(day.links ?? []).filter(link => link.to === step.step).map(link => (taken.get(link.from)?.to ?? 0) + link.min),
  ]
  if (dish.hotPour && step.activity.id === dish.hotPour.pour) ends.push(taken.get(`${dish.id}.${dish.hotPour.heat}`)?.to ?? 0, taken.get(`${dish.id}.reheat`)?.to ?? 0)
  return Math.max(0, ...ends)
}

function fits(day: Day, step: PlannedStep, from: number, lasts: number, taken: ReadonlyMap<string, Taken>): boolean {
  const over = [...taken.values()].filter(one => one.from < from + lasts && from < one.to)
  if (step.activity.burner > 0) {
    const fires = over.filter(one => one.step.activity.burner > 0)
    if (fires.some(one => fires.filter(other => other.from <= one.from && one.from < other.to).length >= day.burners) || nobody(day, from, from + lasts)) return false
  }
  if (step.activity.hands > 0 && cookFor(day, step, from, lasts, taken) === null) return false
  return vesselFree(day, step, from, taken)
}

function nobody(day: Day, from: number, to: number): boolean {
  return Array.from({ length: day.cooks }, (_, cook) => cook).every(cook => isAway(day, cook, from, to))
}

function isAway(day: Day, cook: number, from: number, to: number): boolean {
  return day.away.some(away => (away.cook === 'all' || away.cook === cook) && away.from < to && from < away.to)
}

/** Who is free for all of a step, or null. */
function cookFor(day: Day, step: PlannedStep, from: number, lasts: number, taken: ReadonlyMap<string, Taken>): number | null {
  if (step.activity.hands === 0) return null
  for (let cook = 0; cook < day.cooks; cook++) {
    if ((step.activity.cooks && !step.activity.cooks.includes(cook)) || isAway(day, cook, from, from + lasts)) continue
    const mine = [...taken.values()].filter(one => one.cook === cook && one.from < from + lasts && from < one.to)
    if ([from, ...mine.map(one => one.from)].every(minute => mine.filter(one => one.from <= minute && minute < one.to).reduce((sum, one) => sum + Number(one.step.activity.hands), Number(step.activity.hands)) <= 1)) return cook
  }
  return null
}

/** Whether a vessel of the kind is free where a step is the first of a hold; one that is not given back yet stays taken. */
function vesselFree(day: Day, step: PlannedStep, from: number, taken: ReadonlyMap<string, Taken>): boolean {
  const dish = day.dishes.find(one => one.id === step.dish)!
  return holdsOf(dish).filter(hold => hold.first === step.activity.id).every((hold) => {
    const serves = (need: string, kind: string): boolean => kind === need || (need === 'heavy' && kind === 'heavyL')
    const there = day.vessels.filter(vessel => serves(hold.need, vessel.kind)).length
    const held = day.dishes.flatMap(other => holdsOf(other).filter(one => serves(one.need, hold.need) || serves(hold.need, one.need)).filter((one) => {
      const first = taken.get(`${other.id}.${one.first}`)
      const last = taken.get(`${other.id}.${one.last}`)
      return first !== undefined && first.from <= from && (last === undefined || last.to + (day.washMin ?? 0) > from)
    }))
    return held.length < there
  })
}
