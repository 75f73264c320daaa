import { z } from 'zod'

export { Id } from '../core/record/marks/ids'

/** A name people read: 1 to 60 characters, no control characters. */
// eslint-disable-next-line no-control-regex -- control characters are what is refused
export const Name = z.string().trim().min(1).max(60).regex(/^[^\u0000-\u001f\u007f]*$/)

/** A moment, ms since 1970, up to the year 2200. */
export const Millis = z.number().int().min(0).max(7_258_118_400_000)
