import { mealOf } from './parts'
import { entryAt } from '../../maths/table/itemAt'
import type { Day, Starts } from './day'
import { type Lanes, stepsOf } from './lanesOf'

/** Slack below this is tight, minutes. */
export const TIGHT_MIN = 5

/**
 * Slack of every step, minutes: how much later it could begin, the order on every lane kept, without making a meal late
 * or a wait shorter than it must be (Kelley and Walker, 1959, with the order on resources as further arcs).
 *
 * @param day with its own durations; the plan may have been made for a padded one
 * @param starts start minutes by `dish.activity`
 * @param lanes of the plan
 * @param late minutes each meal is moved, by id
 * @returns by `dish.activity`; below zero where it is late already
 */
export function slackOf(
  day: Day,
  starts: Starts,
  lanes: Lanes,
  late: Readonly<Record<string, number>> = {},
): Record<string, number> {
  const steps = stepsOf(day, starts)
  const lasts = new Map(steps.map(one => [one.step, one.activity.dur[1]]))
  const after = new Map<string, [to: string, min: number][]>()
  const arc = (from: string, to: string, min: number): void => {
    if (lasts.has(from) && lasts.has(to)) after.set(from, [...(after.get(from) ?? []), [to, min]])
  }
  const latest = new Map<string, number>()
  for (const dish of day.dishes) {
    for (const lag of dish.lags) arc(`${dish.id}.${lag.from}`, `${dish.id}.${lag.to}`, lag.min)
    if (dish.hotPour) {
      const again = lasts.has(`${dish.id}.reheat`)
      arc(`${dish.id}.${dish.hotPour.heat}`, `${dish.id}.${again ? 'reheat' : dish.hotPour.pour}`, 0)
      if (again) arc(`${dish.id}.reheat`, `${dish.id}.${dish.hotPour.pour}`, 0)
    }
    const sink = `${dish.id}.${dish.sink}`
    latest.set(
      sink,
      mealOf(day, dish).at + (late[dish.meal] ?? 0) - dish.ready - (lasts.get(sink) ?? 0),
    )
  }
  for (const link of day.links ?? []) arc(link.from, link.to, link.min)
  for (const lane of [...lanes.hands, ...lanes.fires]) {
    const sorted = [...lane].sort((a, b) => a.from - b.from)
    sorted.forEach((one, i) =>
      sorted
        .slice(i + 1)
        .filter(other => other.from >= one.to)
        .forEach(other => arc(one.step, other.step, 0)),
    )
  }
  for (const one of [...steps].sort((a, b) => b.from - a.from)) {
    const bounds = (after.get(one.step) ?? []).map(
      ([to, min]) => (latest.get(to) ?? Infinity) - min - entryAt(lasts, one.step),
    )
    latest.set(one.step, Math.min(latest.get(one.step) ?? Infinity, ...bounds))
  }
  return Object.fromEntries(
    steps
      .map(one => [one.step, Math.round((latest.get(one.step) ?? Infinity) - one.from)])
      .filter(([, slack]) => Number.isFinite(slack)),
  )
}
