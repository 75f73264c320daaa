import { z } from 'zod'
import type { Observation } from '../core/record/marks/observation'
import { Id, Millis } from './ids'

/** Largest payload of one observation, characters of JSON. */
export const MOST_PAYLOAD = 4096

/** Deepest payload, objects and lists within one another. */
export const MOST_DEPTH = 16

/** True where nothing lies deeper; it looks no further than that. */
function isShallow(value: unknown, left = MOST_DEPTH): boolean {
  if (typeof value !== 'object' || value === null) return true
  return left > 0 && Object.values(value).every(one => isShallow(one, left - 1))
}

const Payload = z.record(z.string().max(64), z.unknown())
  .refine(isShallow, { message: 'payload-too-deep', abort: true })
  .refine(payload => JSON.stringify(payload).length <= MOST_PAYLOAD, { message: 'payload-too-large' })

/** One observation as a device sends it. The kind is open: unknown ones are kept. */
export const ObservationSchema = z.strictObject({
  id: Id,
  device: Id,
  number: z.number().int().min(0).max(2 ** 40),
  deviceTime: Millis,
  kind: z.string().min(1).max(64).regex(/^[a-z0-9][a-z0-9.-]*$/),
  payload: Payload,
})
export type SentObservation = z.infer<typeof ObservationSchema>

/** What a device posts to a stream. */
export const AppendRequestSchema = z.strictObject({
  sentAt: Millis,
  observations: z.array(ObservationSchema).min(1).max(200),
})
export type AppendRequest = z.infer<typeof AppendRequestSchema>

/** An observation as the server keeps it, with its place in the stream. */
export const StoredObservationSchema = z.strictObject({
  ...ObservationSchema.shape,
  sentAt: Millis,
  receivedAt: Millis,
  /** Place in the stream's log on the server, rising. */
  place: z.number().int().min(1),
}) satisfies z.ZodType<Observation>
export type StoredObservation = z.infer<typeof StoredObservationSchema>

/** The same as it comes in: each observation is looked at by itself, so that one that is refused holds up no other. */
export const LooseAppendSchema = z.strictObject({ sentAt: Millis, observations: z.array(z.unknown()).min(1).max(200) })

/** An observation that is not taken, by its id (empty where it has none), with what is wrong with it. */
export const RefusedObservationSchema = z.strictObject({
  id: z.string().max(64),
  path: z.string(),
  message: z.string(),
})
export type RefusedObservation = z.infer<typeof RefusedObservationSchema>

/** The server's answer: these ids are on disk; those that are refused will never be. */
export const AppendAnswerSchema = z.strictObject({
  acknowledged: z.array(StoredObservationSchema),
  refused: z.array(RefusedObservationSchema).default([]),
})
export type AppendAnswer = z.infer<typeof AppendAnswerSchema>

/** An observation of a plan or example file: already timed or not. */
export const AnyObservationSchema = z.strictObject({
  ...ObservationSchema.shape,
  sentAt: Millis.optional(),
  receivedAt: Millis.optional(),
  place: z.number().int().min(1).optional(),
})
