import { DeviceLinkSchema } from '../../../contracts/device'
import { pathId, readJson, route } from '../../http/route'

/** Says where a device stands. */
export default route(async (hearth, event) => {
  const { cook, vessel } = await readJson(event, DeviceLinkSchema)
  await hearth.devices.link(pathId(event), cook, vessel)
  return { linked: cook !== null }
})
