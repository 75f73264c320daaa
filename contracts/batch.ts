import { z } from 'zod'
import type { BatchPicture, BatchSummary } from '../core/batch/summary'
import type { Forecast } from '../core/forecast/forecast'
import type { CookPlan } from '../core/live/plan'
import { CookPlanSchema } from './cook'
import { ForecastSchema } from './forecast'
import { Id, Millis, Name } from './ids'
import { StoredObservationSchema, type StoredObservation } from './observation'

/** Faults a batch may be said to have. */
export const FAULTS = ['burnt', 'raw-taste', 'gluey', 'hard-grain', 'lumpy', 'runny', 'dry', 'greasy', 'too-sweet', 'not-sweet'] as const

const Hex = z.string().regex(/^#[0-9a-f]{6}$/)
const StoneSchema = z.strictObject({ fromS: z.number(), toS: z.number(), colour: Hex })
const Moment = z.number().nullable()

/** What a batch keeps for ever: lists draw from this and never replay. */
export const BatchSummarySchema = z.strictObject({
  stones: z.array(StoneSchema).max(400),
  plannedStones: z.array(StoneSchema).max(400),
  keystoneS: Moment, endS: Moment,
  plannedKeystoneS: Moment, plannedEndS: Moment,
  plannedKeystoneWindow: z.tuple([z.number(), z.number()]).nullable(),
  plannedEndWindow: z.tuple([z.number(), z.number()]).nullable(),
  moments: z.array(z.strictObject({ kind: z.string(), what: z.string(), timeS: z.number() })).max(400),
  baseG: z.number(), finishedG: Moment, plannedFinishedG: Moment, weighed: z.boolean(),
  darkestStep: z.string().nullable(),
  faults: z.array(z.string().max(40)).max(20),
  line: z.string().max(400),
}) satisfies z.ZodType<BatchSummary>

/** As much of a summary as an arch in a list needs. */
export const BatchPictureSchema = BatchSummarySchema.pick({
  stones: true, keystoneS: true, endS: true, baseG: true, finishedG: true, weighed: true, darkestStep: true, faults: true, line: true,
}) satisfies z.ZodType<BatchPicture>

const lineShape = { id: Id, dishId: Id, dish: Name, startedAt: Millis, note: z.string() }

/** One line of the list of batches. */
export const BatchListLineSchema = z.strictObject({ ...lineShape, summary: BatchPictureSchema })
export interface BatchListLine {
  readonly id: string
  readonly dishId: string
  readonly dish: string
  readonly startedAt: number
  readonly summary: BatchPicture
  readonly note: string
}

/** One batch of the ledger with its whole summary. */
export const BatchLineSchema = z.strictObject({ ...lineShape, summary: BatchSummarySchema })
export interface BatchLine extends BatchListLine { readonly summary: BatchSummary }

/** A page of the ledger, newest first; `next` asks for the one after. */
export const BatchPageSchema = z.strictObject({ batches: z.array(BatchListLineSchema), next: z.string().nullable() })
export interface BatchPage { readonly batches: readonly BatchListLine[], readonly next: string | null }

/** Query of the list of batches. */
export const BatchQuerySchema = z.strictObject({
  limit: z.coerce.number().int().min(1).max(200).default(60),
  cursor: z.string().max(100).optional(),
  dish: Id.optional(),
})

/** A whole batch, as it can be taken away. */
export const BatchSchema = z.strictObject({
  format: z.literal('yon-hearth/batch/1'),
  line: BatchLineSchema,
  plan: CookPlanSchema,
  forecast: ForecastSchema.nullable(),
  observations: z.array(StoredObservationSchema),
})
export interface Batch {
  readonly format: 'yon-hearth/batch/1'
  readonly line: BatchLine
  readonly plan: CookPlan
  readonly forecast: Forecast | null
  readonly observations: readonly StoredObservation[]
}

/** What can be changed of a batch afterwards. */
export const BatchPatchSchema = z.strictObject({ note: z.string().max(2000) })
