import { route } from '../http/route'

/** What stands in the house and cannot be read by this version. */
export default route(async hearth => ({ unreadable: await hearth.unreadable() }))
