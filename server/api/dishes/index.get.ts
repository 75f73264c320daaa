import { route } from '../../http/route'

/** The newest version of every dish. */
export default route(async hearth => ({ dishes: await hearth.dishes.latest() }))
