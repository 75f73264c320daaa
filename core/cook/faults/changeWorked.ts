import type { DishChange } from '../../record/marks/afterFire'

/** A batch as the question needs it. */
export interface LaterBatch {
  readonly dishId: string
  readonly version: number | null
  readonly startedAt: number
  readonly faults: readonly string[]
}

/** Whether a change of a dish did what it was made for. */
export interface ChangeResult {
  readonly change: DishChange
  readonly at: number
  /** Batches of the changed dish since, and how many of them had the fault again. */
  readonly since: number
  readonly again: number
}

/**
 * Whether the changes of a dish did what they were made for: how the batches cooked by that version or a later one
 * came.
 *
 * @param changes with the moment they were made, ms since 1970
 * @param batches of the household, in any order
 * @returns one result a change, the newest first
 */
export function changeWorked(
  changes: readonly { readonly change: DishChange, readonly at: number }[],
  batches: readonly LaterBatch[],
): ChangeResult[] {
  return [...changes]
    .sort((p, q) => q.at - p.at)
    .map(({ change, at }) => {
      const later = batches.filter(
        one => one.dishId === change.dish && one.startedAt > at && (one.version ?? 0) >= change.version,
      )
      return { change, at, since: later.length, again: later.filter(one => one.faults.includes(change.fault)).length }
    })
}
