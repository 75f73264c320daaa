import { entriesOf } from '../../records'
import type { Bench } from '../remedies/bench'
import { CAUSES, type FaultCause, type RecordSays } from './causes'
import { FAULTS, type Fault } from './faults'

/** A likely cause, with what this cook's own record says of it. */
export interface CauseNow { readonly cause: FaultCause, readonly record: RecordSays }

const RANK: Readonly<Record<RecordSays, number>> = { for: 0, open: 1, against: 2 }

/**
 * Likely causes of a fault in a running cook: those that its own record speaks for first, in the order
 * in which the fault lists them.
 *
 * @param bench the pan, the plan and what was marked
 * @param fault what is seen
 * @returns causes with what the record says
 */
export function causesNow(bench: Bench, fault: Fault): CauseNow[] {
  return entriesOf(FAULTS[fault].causes).map(([cause]) => ({ cause, record: CAUSES[cause].atFire(bench) }))
    .sort((p, q) => RANK[p.record] - RANK[q.record])
}
