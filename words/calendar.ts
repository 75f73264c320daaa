import type { CalendarSubject } from '../core/day/spread/calendarOf'
import { stepName } from './spread'

/**
 * An entry of a day's calendar in words.
 *
 * @param subject what it is of
 * @returns its title and what stands below it
 */
export function calendarWords(subject: CalendarSubject): { readonly title: string, readonly text: string } {
  switch (subject.kind) {
    case 'step': return { title: `${stepName(subject.activity)}: ${subject.dish}`, text: subject.hands ?? 'by itself' }
    case 'meal': return { title: subject.name, text: subject.dishes.join(', ') }
    default: return { title: `${subject.what} for ${subject.whom}`, text: subject.dish ?? '' }
  }
}
