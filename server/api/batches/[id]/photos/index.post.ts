import { MOST_PHOTO_BYTES } from '../../../../../contracts/photo'
import { pathId, readBytes, route } from '../../../../http/route'

/** Keeps a photograph of a batch; the body is the JPEG itself. */
export default route(async (hearth, event) =>
  hearth.photos.add(pathId(event), await readBytes(event, MOST_PHOTO_BYTES)),
)
