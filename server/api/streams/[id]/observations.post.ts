import { AppendRequestSchema, type AppendAnswer } from '../../../../contracts/observation'
import { pathId, readJson, route } from '../../../http/route'

/** Appends to a stream; the answer comes once it is on disk. */
export default route(async (hearth, event): Promise<AppendAnswer> => {
  const stream = pathId(event)
  return { acknowledged: await hearth.append(stream, await readJson(event, AppendRequestSchema)) }
})
