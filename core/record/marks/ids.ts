import { z } from 'zod'

/** An id made by a client or the server: letters, digits, dashes; 1 to 64 characters. */
export const Id = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/)
