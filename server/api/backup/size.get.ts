import { route } from '../../http/route'

/** How large a backup will be, about, and what stands in the house that one would take the place of. */
export default route(async hearth => ({ size: await hearth.backups.size(), holds: await hearth.backups.holds() }))
