import { route } from '../http/route'

/** Whether the hearth is well: it answers once its database does. */
export default route(async (hearth) => {
  await hearth.house.hasPassphrase()
  return { well: true }
})
