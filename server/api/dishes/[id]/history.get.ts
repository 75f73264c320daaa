import { pathId, route } from '../../../http/route'

/** Every version of a dish, newest first. */
export default route(async (hearth, event) => ({ versions: await hearth.dishes.history(pathId(event)) }))
