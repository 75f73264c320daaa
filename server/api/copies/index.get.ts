import { route } from '../../http/route'

/** Copies of the database that were made by themselves. */
export default route(async (hearth) => {
  await hearth.copies.keep()
  return hearth.copies.list()
})
