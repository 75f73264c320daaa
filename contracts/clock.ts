import { z } from 'zod'

/** The hearth's clock: its time in ms and how many of its seconds pass in one real one. */
export const ClockSchema = z.strictObject({ now: z.number(), rate: z.number().min(0.01).max(100_000) })
export type ClockReading = z.infer<typeof ClockSchema>
