import { orderObservations } from '../../core/record/marks/orderObservations'
import type { Observation } from '../../core/record/marks/observation'

/** Moments closer than this are the same moment, ms: an acknowledgement moves a mark by its journey only. */
const SAME_MS = 400

/**
 * A key that changes when a story changes, and not when the hearth merely says that it has it.
 *
 * @param observations everything marked
 * @returns ids with their moments, rounded
 */
export function storyKey(observations: readonly Observation[]): string {
  return orderObservations(observations)
    .map(({ observation, atMs }) => `${observation.id}@${Math.round(atMs / SAME_MS)}`)
    .join(' ')
}
