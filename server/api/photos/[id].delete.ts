import { pathId, route } from '../../http/route'

/** Takes a photograph out. */
export default route(async (hearth, event) => {
  await hearth.photos.remove(pathId(event))
  return { removed: true }
})
