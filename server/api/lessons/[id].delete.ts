import { pathId, route } from '../../http/route'

/** Takes a lesson back; putting it again brings it back. */
export default route(async (hearth, event) => {
  await hearth.lessons.remove(pathId(event))
  return { removed: true }
})
