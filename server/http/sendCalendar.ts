import { setHeader, type H3Event } from 'h3'
import { calendarWords } from '../../words/calendar'
import type { SayEntry } from '../services/calendar'
import { HttpProblem } from './problem'

/**
 * Answers with a calendar (RFC 5545), its entries in our words.
 *
 * @param event the request
 * @param write makes the calendar, given how an entry is said; null where there is none
 * @returns its text
 * @throws HttpProblem `not-found`
 */
export async function sendCalendar(event: H3Event, write: (say: SayEntry) => Promise<string | null>): Promise<string> {
  const text = await write(calendarWords)
  if (text === null) throw new HttpProblem('not-found')
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'cache-control', 'no-store')
  return text
}
