import { SpreadSchema } from '../../../../contracts/spread'
import { HttpProblem } from '../../../http/problem'
import { pathId, readJson, route } from '../../../http/route'

/** Keeps a day; it comes back with its next revision. */
export default route(async (hearth, event) => {
  const spread = await readJson(event, SpreadSchema)
  if (spread.id !== pathId(event))
    throw new HttpProblem('body-not-understood', [{ path: 'id', message: 'differs from the address' }])
  return hearth.spreads.put(spread)
})
