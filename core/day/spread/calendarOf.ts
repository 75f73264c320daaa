import { wallMs } from '../../maths/time/houseDay'
import { plannedSteps } from './plannedSteps'
import type { Spread } from './spread'

/** What an entry of a day's calendar is of. */
export type CalendarSubject =
  | { readonly kind: 'step', readonly activity: string, readonly dish: string, readonly hands: string | null }
  | { readonly kind: 'meal', readonly name: string, readonly dishes: readonly string[] }
  | { readonly kind: 'promise', readonly what: string, readonly whom: string, readonly dish: string | null }

/** One entry of a day's calendar. */
export interface CalendarEntry {
  /** The same for the same step, meal or promise of a day for ever. */
  readonly uid: string
  /** ms since 1970. */
  readonly fromMs: number
  readonly toMs: number
  readonly subject: CalendarSubject
}

/** Entries of what has no length of its own, minutes. */
const MEAL_MIN = 30
const PROMISE_MIN = 10

/**
 * The entries of a day's calendar: one a step, one for each meal and each promise that is open.
 *
 * @param spread the day
 * @param zone of the house
 * @returns entries; no steps where the day has no plan
 */
export function calendarOf(spread: Spread, zone: string): CalendarEntry[] {
  const names = new Map(spread.dishes.map(dish => [dish.id, dish.card.name]))
  const entry = (id: string, from: number, to: number, subject: CalendarSubject): CalendarEntry => ({
    uid: `${spread.id}-${id}@yon-hearth`,
    fromMs: wallMs(spread.eve, from, zone),
    toMs: wallMs(spread.eve, to, zone),
    subject,
  })
  const planned = plannedSteps(spread)
  const late = spread.plan?.late ?? {}
  return [
    ...(planned?.steps ?? []).map(one =>
      entry(one.step, one.from, one.to, {
        kind: 'step',
        activity: one.activity.id,
        dish: names.get(one.dish) ?? '',
        hands: planned?.who.get(one.step) ?? null,
      }),
    ),
    ...spread.meals
      .filter(meal => spread.dishes.some(dish => dish.meal === meal.id))
      .map(meal => {
        const at = meal.at + (late[meal.id] ?? 0)
        return entry(meal.id, at, at + MEAL_MIN, {
          kind: 'meal',
          name: meal.name,
          dishes: spread.dishes.filter(dish => dish.meal === meal.id).map(dish => dish.card.name),
        })
      }),
    ...spread.promises
      .filter(one => !one.given)
      .map(one =>
        entry(one.id, one.at, one.at + PROMISE_MIN, {
          kind: 'promise',
          what: one.what,
          whom: one.whom,
          dish: names.get(one.dish ?? '') ?? null,
        }),
      ),
  ]
}

/** An entry as it is told: which revision of the day changed it last, and whether it is gone. */
export interface ToldEntry {
  readonly entry: CalendarEntry
  readonly sequence: number
  readonly changedAt: number
  readonly gone: boolean
}

/**
 * What is told of a day after it changed (RFC 5545, 3.8.7.4: a change raises the sequence; what is taken out is
 * cancelled, not forgotten).
 *
 * @param told what was told before
 * @param now entries as they are
 * @param revision of the day
 * @param changedAt when the day changed last, ms since 1970
 * @returns every entry that was ever told; those that are as they were keep their sequence
 */
export function retold(
  told: readonly ToldEntry[],
  now: readonly CalendarEntry[],
  revision: number,
  changedAt: number,
): ToldEntry[] {
  const before = new Map(told.map(one => [one.entry.uid, one]))
  const here = new Set(now.map(one => one.uid))
  const same = (one: CalendarEntry, other: CalendarEntry): boolean => JSON.stringify(one) === JSON.stringify(other)
  return [
    ...now.map((entry): ToldEntry => {
      const old = before.get(entry.uid)
      return old && !old.gone && same(old.entry, entry)
        ? old
        : { entry, sequence: old ? Math.max(revision, old.sequence + 1) : revision, changedAt, gone: false }
    }),
    ...told
      .filter(one => !here.has(one.entry.uid))
      .map((one): ToldEntry =>
        one.gone ? one : { ...one, sequence: Math.max(revision, one.sequence + 1), changedAt, gone: true },
      ),
  ]
}
