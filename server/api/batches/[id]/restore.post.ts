import { pathId, route } from '../../../http/route'

/** Puts a removed batch back. */
export default route(async (hearth, event) => {
  await hearth.batches.restore(pathId(event))
  return { removed: false }
})
