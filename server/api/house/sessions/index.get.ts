import { route } from '../../../http/route'
import { whoAsks } from '../../../http/whoAsks'

/** Devices that have entered, last seen first. */
export default route(async (hearth, event) => ({
  sessions: await hearth.house.sessions((await whoAsks(event)).session),
}))
