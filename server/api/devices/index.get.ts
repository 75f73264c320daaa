import { route } from '../../http/route'

/** Devices heard of lately, the newest first. */
export default route(hearth => ({ devices: hearth.devices.heard() }))
