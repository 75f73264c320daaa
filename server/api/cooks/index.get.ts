import { route } from '../../http/route'

/** Cooks that are not finished, newest first. */
export default route(async hearth => ({ cooks: await hearth.cooks.live() }))
