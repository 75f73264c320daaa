import { pathId, route } from '../../../http/route'

/** One day of cooking. */
export default route((hearth, event) => hearth.spreads.one(pathId(event)))
