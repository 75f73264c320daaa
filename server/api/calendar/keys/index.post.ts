import { NewCalendarKeySchema } from '../../../../contracts/calendar'
import { readJson, route } from '../../../http/route'

/** Makes an address under which the calendar can be read without entering; it is told once. */
export default route(async (hearth, event) => {
  const { name } = await readJson(event, NewCalendarKeySchema)
  const { key, secret } = await hearth.calendars.makeKey(name)
  return { key, path: `/api/calendar/feed/${secret}.ics` }
})
