import { route } from '../../http/route'

/** Boil checks, batches from memory, what was forgotten and what was changed, newest first. */
export default route(async hearth => ({ lessons: await hearth.lessons.all() }))
