import { pathId, route } from '../../../http/route'

/** Takes a batch out of the ledger; it can be put back. */
export default route(async (hearth, event) => {
  await hearth.batches.remove(pathId(event))
  return { removed: true }
})
