import { pathId, route } from '../../../../http/route'

/** The photographs of a batch. */
export default route(async (hearth, event) => ({ photos: await hearth.photos.of(pathId(event)) }))
