import { getRouterParam } from 'h3'
import { ShelfNameSchema, SHELVES } from '../../../../contracts/kitchen'
import { HttpProblem } from '../../../http/problem'
import { parse, pathId, readJson, route } from '../../../http/route'

/** Puts one thing on a shelf, new or changed. */
export default route(async (hearth, event) => {
  const shelf = parse(ShelfNameSchema, getRouterParam(event, 'shelf'))
  const item = await readJson(event, SHELVES[shelf])
  if (item.id !== pathId(event))
    throw new HttpProblem('body-not-understood', [{ path: 'id', message: 'differs from the address' }])
  await hearth.kitchens.put(shelf, item)
  return item
})
