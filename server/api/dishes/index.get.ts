import { route } from '../../http/route'

/** The newest version of every dish, and which are put aside. */
export default route(async hearth => ({ dishes: await hearth.dishes.latest(), aside: await hearth.dishes.aside() }))
