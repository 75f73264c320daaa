import { route } from '../../http/route'

/** Days of cooking, the latest first. */
export default route(async hearth => ({ spreads: await hearth.spreads.all() }))
