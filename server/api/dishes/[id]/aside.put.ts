import { AsideSchema } from '../../../../contracts/dish'
import { pathId, readJson, route } from '../../../http/route'

/** Puts a dish aside, or takes it back. Nothing is lost by it. */
export default route(async (hearth, event) => {
  const { aside } = await readJson(event, AsideSchema)
  await hearth.dishes.putAside(pathId(event), aside)
  return { aside }
})
