import { pathId, route } from '../../http/route'

/** A cook: its plan and everything marked. */
export default route((hearth, event) => hearth.cooks.one(pathId(event)))
