import { DishCardSchema } from '../../../../contracts/dish'
import { HttpProblem } from '../../../http/problem'
import { pathId, readJson, route } from '../../../http/route'

/** Adds a version of a dish; a version never changes. */
export default route(async (hearth, event) => {
  const dish = await readJson(event, DishCardSchema)
  if (dish.id !== pathId(event))
    throw new HttpProblem('body-not-understood', [{ path: 'id', message: 'differs from the address' }])
  return await hearth.dishes.add(dish)
})
