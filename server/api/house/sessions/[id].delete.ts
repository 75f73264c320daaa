import { pathId, route } from '../../../http/route'

/** Ends a session. */
export default route(async (hearth, event) => {
  await hearth.house.end(pathId(event))
  return { ended: true }
})
