import { z } from 'zod'
import { Id } from './ids'
import { StoredObservationSchema } from './observation'

/** Most streams and days that one page follows at once. */
export const MOST_FOLLOWED = 60

/**
 * What a page follows, over the one connection it holds for all of it; `after` is the place of the last observation it
 * has.
 */
export const FollowedSchema = z.object({
  stream: z.array(Id).max(MOST_FOLLOWED), spread: z.array(Id).max(MOST_FOLLOWED), after: z.int().min(0).nullable(),
})

/** One thing that is pushed: what was appended to a stream, or the revision a day has now. */
export const PushedSchema = z.union([
  z.object({ stream: Id, observations: z.array(StoredObservationSchema) }),
  z.object({ spread: Id, revision: z.int().min(0) }),
])
