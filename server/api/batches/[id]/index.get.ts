import { pathId, route } from '../../../http/route'
import { streamedJson } from '../../../http/streamedJson'

/** Longest that a batch which is just being made is waited for, ms. */
const MOST_WAIT_MS = 10_000

/** A whole batch, as it can be taken away. Waits a little for a batch that is just being made. */
export default route(async (hearth, event) => {
  const id = pathId(event)
  await hearth.settled(MOST_WAIT_MS, id)
  return streamedJson(event, await hearth.batches.head(id), 'observations', hearth.streams.pages(id, 0))
})
