import { z } from 'zod'
import { DEVICE_KINDS, READING_UNITS } from '../core/cook/readings/reading'
import { Id, Millis } from './ids'
import { LabSchema } from './ingredient'

/** The form of the device protocol; see docs/formats.md. */
export const DEVICE_PROTOCOL = 'yon-hearth/device/1'

/** A reading as a device sends it. */
export const ReadingSchema = z.strictObject({
  /** The device's own running number: the same one twice counts once. */
  number: z.number().int().min(0).max(2 ** 40),
  /** The device's own clock, ms since 1970. */
  at: Millis,
  /** A number, a colour as L*a*b*, or null where the reading was lost. */
  value: z.union([z.number().min(-1e6).max(1e6), LabSchema, z.null()]),
  unit: z.enum(READING_UNITS).optional(),
})
export type Reading = z.infer<typeof ReadingSchema>

const Who = {
  device: Id,
  kind: z.enum(DEVICE_KINDS),
  name: z.string().max(60).optional(),
  /** Which cook and vessel it stands in; without it the hearth decides. */
  cook: Id.optional(),
  vessel: Id.optional(),
}

/** What a device posts over HTTP. */
export const ReadingsRequestSchema = z.strictObject({
  protocol: z.literal(DEVICE_PROTOCOL),
  ...Who,
  sentAt: Millis,
  readings: z.array(ReadingSchema).min(1).max(500),
})
export type ReadingsRequest = z.infer<typeof ReadingsRequestSchema>

/** A line over the WebSocket: who it is, first; then readings. */
export const DeviceLineSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('hello'), protocol: z.literal(DEVICE_PROTOCOL), ...Who }),
  z.strictObject({ type: z.literal('readings'), sentAt: Millis, readings: z.array(ReadingSchema).min(1).max(500) }),
])
export type DeviceLine = z.infer<typeof DeviceLineSchema>

/** What the hearth answers to readings. */
export const TakenSchema = z.strictObject({
  /** Highest number it has taken. */
  taken: z.number().int(),
  /** Cook and vessel they were taken for; null where nothing is on the fire. */
  cook: Id.nullable(),
  vessel: Id.nullable(),
  /** Kinds of marks that came of them. */
  marked: z.array(z.string().max(64)),
})
export type TakenReading = z.infer<typeof TakenSchema>

/** A device that was heard of lately. */
export const HeardDeviceSchema = z.strictObject({
  device: Id,
  kind: z.enum(DEVICE_KINDS),
  name: z.string().max(60),
  cook: Id.nullable(),
  vessel: Id.nullable(),
  heardAt: Millis,
})
export type HeardDevice = z.infer<typeof HeardDeviceSchema>

/** Where a device is said to stand. */
export const DeviceLinkSchema = z.strictObject({ cook: Id.nullable(), vessel: Id.nullable() })
