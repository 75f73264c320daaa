import { route } from '../../http/route'

/** Everything on the shelves. */
export default route(hearth => hearth.kitchens.all())
