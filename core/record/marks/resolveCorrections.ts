import type { Moment } from './moment'
import type { TimedObservation } from './orderObservations'
import { isAhead } from './isAhead'

const isCorrection = (timed: TimedObservation): boolean => timed.observation.kind === 'corrected'
const isWithdrawal = (timed: TimedObservation): boolean => timed.observation.kind === 'withdrawn'
/** Id of what is corrected or taken back; what is no id names nothing. */
const target = ({
  observation: {
    payload: { replaces },
  },
}: TimedObservation): string => (typeof replaces === 'string' ? replaces : '')

/**
 * Applies corrections and takings back. A taking back may itself be taken back; a correction may correct a correction.
 * A correction may carry a new `kind`, a new `payload` and `shiftS`, seconds to be added to the time. Any observation
 * may carry `agoS`: it is marked now and happened so many seconds before, six hours at most.
 *
 * @param timed ordered observations
 * @returns the moments in time order, corrections and takings back left out, withdrawn ones marked
 */
export function resolveCorrections(timed: readonly TimedObservation[]): Moment[] {
  const inactive = new Set<string>()
  for (const one of [...timed].reverse()) {
    if (isWithdrawal(one) && !inactive.has(one.observation.id)) inactive.add(target(one))
  }
  const root = new Map<string, string>()
  const moments = new Map<string, Moment>()
  for (const one of timed) {
    const { id, kind, payload } = one.observation
    if (isWithdrawal(one)) continue
    if (!isCorrection(one)) {
      moments.set(id, {
        id,
        kind,
        payload,
        atMs: one.atMs - agoMs(payload),
        withdrawn: inactive.has(id),
        correctedBy: [],
        ahead: one.ahead,
      })
      continue
    }
    const rootId = root.get(target(one)) ?? target(one)
    root.set(id, rootId)
    const known = moments.get(rootId)
    if (known && !inactive.has(id)) moments.set(rootId, corrected(known, one))
  }
  return [...moments.values()].sort((p, q) => p.atMs - q.atMs)
}

/** Longest that something is marked after it happened, s. */
const MOST_AGO_S = 6 * 3600

function agoMs({ agoS }: Moment['payload']): number {
  return typeof agoS === 'number' && agoS > 0 && agoS <= MOST_AGO_S ? agoS * 1000 : 0
}

function corrected(moment: Moment, correction: TimedObservation): Moment {
  const { kind, payload, shiftS } = correction.observation.payload
  const atMs = moment.atMs + (typeof shiftS === 'number' && Number.isFinite(shiftS) ? shiftS * 1000 : 0)
  return {
    ...moment,
    kind: typeof kind === 'string' ? kind : moment.kind,
    payload: typeof payload === 'object' && payload !== null ? { ...moment.payload, ...payload } : moment.payload,
    atMs,
    correctedBy: [...moment.correctedBy, correction.observation.id],
    ahead: atMs === moment.atMs ? moment.ahead : isAhead(atMs, correction.observation.receivedAt),
  }
}
