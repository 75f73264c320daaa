import { route } from '../../http/route'

/** What is in the house, what must be eaten first before the rest. */
export default route(async (hearth) => {
  await hearth.settled()
  return { batches: await hearth.ledger.inHouse() }
})
