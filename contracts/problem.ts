import { z } from 'zod'

/** Codes of everything the server refuses; docs/errors.md lists them. */
export const PROBLEM_CODES = [
  'body-not-understood',
  'body-too-large',
  'not-found',
  'already-different',
  'changed-meanwhile',
  'method-not-allowed',
  'not-json',
  'went-wrong',
  'enter-first',
  'wrong-passphrase',
  'too-many-tries',
  'too-fast',
  'wrong-host',
  'other-origin',
  'not-from-here',
  'no-passphrase',
  'prove-again',
  'too-many-streams',
  'body-too-slow',
  'not-readable',
  'busy',
  'disk-full',
  'not-a-photo',
  'too-many-photos',
  'too-many-addresses',
  'not-a-backup',
  'house-not-empty',
] as const
export type ProblemCode = (typeof PROBLEM_CODES)[number]

/** Problem details (RFC 9457) with our code and the paths of the fields at fault. */
export const ProblemSchema = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  code: z.enum(PROBLEM_CODES),
  detail: z.string(),
  fields: z.array(z.strictObject({ path: z.string(), message: z.string() })),
})
export type Problem = z.infer<typeof ProblemSchema>
