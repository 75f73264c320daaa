import { pathId, route } from '../../../http/route'

/** Takes a day away. */
export default route(async (hearth, event) => {
  await hearth.spreads.remove(pathId(event))
  return { removed: true }
})
