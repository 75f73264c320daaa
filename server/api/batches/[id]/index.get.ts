import { pathId, route } from '../../../http/route'

/** A whole batch, as it can be taken away. Waits for a batch that is just being made. */
export default route(async (hearth, event) => {
  await hearth.settled()
  return hearth.batches.one(pathId(event))
})
