import { route } from '../../../http/route'

/** Addresses of the calendar that were given out, newest first; without their secrets. */
export default route(async hearth => ({ keys: await hearth.calendars.keys() }))
