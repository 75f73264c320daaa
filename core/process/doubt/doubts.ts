import type { StoredRuns } from '../forecast/storedRuns'
import type { Doubts } from '../../record/plan/doubt'
import { openQuestion } from './openQuestion'
import { surprise } from './surprise'

/**
 * What does not fit together in a running cook.
 *
 * @param standing kept runs of it
 * @returns a question about something unmarked, and a mark that can hardly be true; null each where all is well
 */
export function doubts(standing: StoredRuns): Doubts {
  return { asks: openQuestion(standing), surprise: surprise(standing) }
}
