import type { Evidence } from '../../materials/belief/reading'
import { changeVariance } from '../../materials/belief/steadiness'

/** Something was changed on purpose: a cleaned burner, another bag of flour. */
export interface Change {
  /** ms since 1970. */
  readonly at: number
  /** Household names it concerns, such as `fire.front`. */
  readonly names: readonly string[]
}

/**
 * The readings a belief rests on: without what is to be forgotten, and with what was read before a change counting
 * less.
 *
 * @param evidence all readings
 * @param forgotten batches and checks that are not to be learned from
 * @param changes what was changed, and when
 * @returns readings that count, each at the variance it counts at
 */
export function assembled(
  evidence: readonly Evidence[],
  forgotten: ReadonlySet<string>,
  changes: readonly Change[],
): Evidence[] {
  return evidence
    .filter(one => !forgotten.has(one.batch))
    .map(one => {
      const times = changes.filter(change => change.names.includes(one.name) && (one.when ?? 0) < change.at).length
      return times === 0 ? one : { ...one, variance: one.variance + times * changeVariance(one.of) }
    })
}
