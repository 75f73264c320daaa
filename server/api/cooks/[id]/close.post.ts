import { CloseCookSchema } from '../../../../contracts/cook'
import { pathId, readJson, route } from '../../../http/route'

/** Says that a cook which was left open was done at a moment. */
export default route(async (hearth, event) => {
  const { doneAt } = await readJson(event, CloseCookSchema)
  const id = pathId(event)
  await hearth.cooks.plan(id)
  await hearth.openCooks.close(id, doneAt, 'asked')
  return { closed: true }
})
