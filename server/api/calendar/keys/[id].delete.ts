import { pathId, route } from '../../../http/route'

/** Takes an address of the calendar back: it reads nothing from then on. */
export default route(async (hearth, event) => {
  await hearth.calendars.dropKey(pathId(event))
  return { dropped: true }
})
