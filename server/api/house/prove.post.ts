import { ProofSchema } from '../../../contracts/house'
import { MOST_SECRET, readJson, route } from '../../http/route'
import { aTry } from '../../http/tries'
import { whoAsks } from '../../http/whoAsks'

/** Takes the passphrase once more from a device that has entered; for a quarter of an hour it may take things away. */
export default route(async (hearth, event) => {
  const { passphrase } = await readJson(event, ProofSchema, MOST_SECRET)
  const { session } = await whoAsks(event)
  const right = await aTry(hearth, event)
  if (session) await hearth.house.prove(session, passphrase)
  await right()
  return { proven: session !== null }
})
