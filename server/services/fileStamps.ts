import { isoDay } from '../../core/maths/time/houseDay'
import { fileMoment } from '../../core/maths/time/moments'

/** A moment in the name of a file. */
export { fileMoment }

/**
 * A day in the name of a file, in universal time.
 *
 * @param atMs ms since 1970
 * @returns ISO 8601 date
 */
export const fileDay = (atMs: number): string => isoDay(atMs, 'utc')
