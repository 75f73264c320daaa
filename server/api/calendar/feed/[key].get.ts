import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { sendCalendar } from '../../../http/sendCalendar'

/** The days of the house for whoever holds an address of its calendar. */
export default route((hearth, event) =>
  sendCalendar(event, say => hearth.calendars.feed((getRouterParam(event, 'key') ?? '').replace(/\.ics$/, ''), say)),
)
