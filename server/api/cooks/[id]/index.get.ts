import { pathId, route } from '../../../http/route'
import { streamedJson } from '../../../http/streamedJson'

/** A cook: its plan and everything marked. */
export default route(async (hearth, event) => {
  const id = pathId(event)
  return streamedJson(event, { plan: await hearth.cooks.plan(id) }, 'observations', hearth.streams.pages(id, 0))
})
