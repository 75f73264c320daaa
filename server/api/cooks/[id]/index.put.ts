import { CookPlanSchema } from '../../../../contracts/cook'
import { HttpProblem } from '../../../http/problem'
import { pathId, readJson, route } from '../../../http/route'

/** Makes a cook of a plan; the same again does nothing. */
export default route(async (hearth, event) => {
  const plan = await readJson(event, CookPlanSchema)
  if (plan.id !== pathId(event))
    throw new HttpProblem('body-not-understood', [{ path: 'id', message: 'differs from the address' }])
  await hearth.cooks.create(plan)
  return { kept: true }
})
