import { pathId, route } from '../../../http/route'
import { sendCalendar } from '../../../http/sendCalendar'

/** A day as a calendar: every step, meal and promise, changes counted, what was taken out cancelled. */
export default route((hearth, event) => sendCalendar(event, say => hearth.calendars.day(pathId(event), say)))
