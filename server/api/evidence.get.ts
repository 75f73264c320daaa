import { route } from '../http/route'

/** Readings that count of the lasting numbers, of batches and lessons, and where they come from. */
export default route(hearth => hearth.lessons.learned())
