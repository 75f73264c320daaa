import { route } from '../http/route'

/** What the newest batches say of the lasting numbers. */
export default route(async hearth => ({ evidence: await hearth.batches.evidence() }))
