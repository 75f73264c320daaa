import { setResponseHeader } from 'h3'
import { pathId, route } from '../../http/route'

/** A photograph. What is under an id never changes. */
export default route(async (hearth, event) => {
  const bytes = await hearth.photos.bytes(pathId(event))
  setResponseHeader(event, 'content-type', 'image/jpeg')
  setResponseHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
  return bytes
})
