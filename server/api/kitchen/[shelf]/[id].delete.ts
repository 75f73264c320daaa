import { getRouterParam } from 'h3'
import { ShelfNameSchema } from '../../../../contracts/kitchen'
import { parse, pathId, route } from '../../../http/route'

/** Takes one thing off a shelf; it can be put back. */
export default route(async (hearth, event) => {
  await hearth.kitchens.remove(parse(ShelfNameSchema, getRouterParam(event, 'shelf')), pathId(event))
  return { removed: true }
})
