import { findCauses } from '../../core/cook/faults/findCauses'
import { faultyBatch } from './faultyBatch'
import { INJECTIONS } from './injections'

/** How well hidden causes are found. */
export interface FaultReport {
  readonly batches: number
  /** Shares in which the true cause is named first, and among the first three. */
  readonly first: number
  readonly firstThree: number
  /** The same where the causes were ranked by how usual they are, without a look at the batch. */
  readonly blind: { readonly first: number, readonly firstThree: number }
  /** How often each true cause was taken for which: rows true, columns named first. */
  readonly confusion: Readonly<Record<string, Readonly<Record<string, number>>>>
  readonly byFault: Readonly<Record<string, { readonly batches: number, readonly first: number }>>
}

export const FULL_FAULTS = INJECTIONS.length * 16
export const QUICK_FAULTS = INJECTIONS.length * 3

/**
 * Hides one cause in each of many imaginary batches and has them looked for.
 *
 * @param count batches, above zero
 * @returns how often they were found, and what they were taken for
 */
export function judgeFaults(count: number): FaultReport {
  const confusion: Record<string, Record<string, number>> = {}
  const byFault: Record<string, { batches: number, right: number }> = {}
  let [first, three, blindFirst, blindThree] = [0, 0, 0, 0]
  for (let seed = 0; seed < count; seed++) {
    const { record, cause, fault } = faultyBatch(seed)
    const ranked = findCauses(record, fault).map(one => one.cause)
    const usual = findCauses(
      {
        ...record,
        plan: { ...record.plan, forecast: null, vessels: {} },
        cook: { ...record.cook, unstirred: [], uptakes: [], controls: [] },
        summary: { ...record.summary, darkestStep: null },
      },
      fault,
    ).map(one => one.cause)
    const named = ranked[0] ?? 'none'
    confusion[cause] = { ...confusion[cause], [named]: (confusion[cause]?.[named] ?? 0) + 1 }
    const of = byFault[fault] ?? { batches: 0, right: 0 }
    byFault[fault] = { batches: of.batches + 1, right: of.right + (named === cause ? 1 : 0) }
    first += named === cause ? 1 : 0
    three += ranked.slice(0, 3).includes(cause) ? 1 : 0
    blindFirst += usual[0] === cause ? 1 : 0
    blindThree += usual.slice(0, 3).includes(cause) ? 1 : 0
  }
  const share = (times: number): number => Math.round(times / count * 1000) / 1000
  return {
    batches: count,
    first: share(first),
    firstThree: share(three),
    blind: { first: share(blindFirst), firstThree: share(blindThree) },
    confusion,
    byFault: Object.fromEntries(
      Object.entries(byFault).map(([fault, { batches, right }]) => [
        fault,
        { batches, first: Math.round((right / batches) * 1000) / 1000 },
      ]),
    ),
  }
}
