import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator'
import type { Spread } from '../../contracts/spread'
import { stepName } from '../../words/spread'

/** One step as a calendar shows it; minutes from the eve. */
export interface CalendarStep { readonly step: string, readonly dish: string, readonly activity: { readonly id: string, readonly hands: number }, readonly from: number, readonly to: number }

/** Alarms ring this long before a step begins, s. */
const ALARM_S = 300

/**
 * A day as a calendar (RFC 5545): one entry a step with an alarm five minutes before, one for each meal and each promise.
 *
 * @param spread the day
 * @param steps of its plan
 * @param who name of the hands of a step, by `dish.activity`
 * @param eveMs local midnight of its eve, ms since 1970
 * @param nowMs when it is made, ms since 1970
 * @returns the text of an .ics file; times are absolute, in UTC
 */
export function spreadCalendar(spread: Spread, steps: readonly CalendarStep[], who: ReadonlyMap<string, string>, eveMs: number, nowMs: number): string {
  const at = (minute: number): Date => new Date(eveMs + minute * 60_000)
  const names = new Map(spread.dishes.map(dish => [dish.id, dish.card.name]))
  const calendar = ical({ name: spread.name, prodId: { company: 'Yon Hearth', product: 'Spread', language: 'EN' }, method: ICalCalendarMethod.PUBLISH })
  const entry = (id: string, from: number, to: number, summary: string, description: string, alarm: boolean): void => {
    const event = calendar.createEvent({ id: `${spread.id}-${id}@yon-hearth`, start: at(from), end: at(to), stamp: new Date(nowMs), summary, description })
    if (alarm) event.createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_S, description: summary })
  }
  for (const one of steps) {
    const hands = who.get(one.step)
    entry(one.step, one.from, one.to, `${stepName(one.activity.id)}: ${names.get(one.dish) ?? ''}`, hands ?? 'by itself', true)
  }
  for (const meal of spread.meals.filter(one => spread.dishes.some(dish => dish.meal === one.id))) entry(meal.id, meal.at, meal.at + 30, meal.name, spread.dishes.filter(dish => dish.meal === meal.id).map(dish => dish.card.name).join(', '), false)
  for (const promise of spread.promises.filter(one => !one.given)) entry(promise.id, promise.at, promise.at + 10, `${promise.what} for ${promise.whom}`, names.get(promise.dish ?? '') ?? '', true)
  return calendar.toString()
}
