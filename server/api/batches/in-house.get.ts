import { route } from '../../http/route'

/** Longest that batches which are just being made are waited for, ms. */
const MOST_WAIT_MS = 1500

/** What is in the house, what must be eaten first before the rest. */
export default route(async (hearth) => {
  await hearth.settled(MOST_WAIT_MS)
  return { batches: await hearth.ledger.inHouse() }
})
