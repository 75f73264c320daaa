import { payloadFault } from '../../contracts/mark'
import { ObservationSchema, type RefusedObservation, type SentObservation } from '../../contracts/observation'

/** What of a post can be taken, and what cannot. */
export interface SortedMarks {
  readonly good: readonly SentObservation[]
  readonly refused: readonly RefusedObservation[]
}

/**
 * Looks at each observation by itself: its form, and its payload by its kind.
 *
 * @param given as they came
 * @returns those that can be kept, and what is wrong with the others
 */
export function sortedMarks(given: readonly unknown[]): SortedMarks {
  const [good, refused]: [SentObservation[], RefusedObservation[]] = [[], []]
  for (const one of given) {
    const parsed = ObservationSchema.safeParse(one)
    const issue = parsed.error?.issues[0]
    const fault = issue
      ? { path: issue.path.join('.'), message: issue.message.slice(0, 200) }
      : payloadFault(parsed.data!.kind, parsed.data!.payload)
    if (fault) refused.push({ id: idOf(one), ...fault })
    else good.push(parsed.data!)
  }
  return { good, refused }
}

function idOf(one: unknown): string {
  const id = typeof one === 'object' && one !== null && 'id' in one ? one.id : ''
  return typeof id === 'string' ? id.slice(0, 64) : ''
}
