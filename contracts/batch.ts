import { z } from 'zod'
import type { BatchPicture, BatchSummary } from '../core/cook/batch/summary'
import type { Forecast } from '../core/record/plan/forecast'
import { PLACES, type Place } from '../core/record/marks/place'
import { LIKINGS, type Liked } from '../core/record/marks/afterFire'
import type { CookPlan } from '../core/record/plan/plan'
import { CookPlanSchema } from './cook'
import { ForecastSchema } from './forecast'
import { Id, Millis, Name } from './ids'
import { StoredObservationSchema, type StoredObservation } from './observation'

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
  stones: true,
  keystoneS: true,
  endS: true,
  baseG: true,
  finishedG: true,
  weighed: true,
  darkestStep: true,
  faults: true,
  line: true,
}) satisfies z.ZodType<BatchPicture>

const LikedSchema = z.strictObject({
  sweetness: z.enum(LIKINGS).optional(),
  softness: z.enum(LIKINGS).optional(),
  richness: z.enum(LIKINGS).optional(),
}) satisfies z.ZodType<Liked>

/** What of a batch is in the house, until when, and how it was liked. Times in ms since 1970, masses in g. */
export const BatchAfterSchema = z.strictObject({
  massG: z.number(),
  leftG: z.number(),
  place: z.enum(PLACES),
  madeAt: Millis,
  readyAt: Millis,
  eatBy: z.tuple([Millis, Millis]),
  coldBy: Millis.nullable(),
  inCold: z.tuple([Millis, Millis]),
  liked: LikedSchema,
  fromMemory: z.boolean().optional(),
  sweetness: z.number().optional(),
})
export interface BatchAfter {
  readonly massG: number
  readonly leftG: number
  readonly place: Place
  readonly madeAt: number
  readonly readyAt: number
  /** Eat it by the first, throw out what is left after the second. */
  readonly eatBy: readonly [number, number]
  /** What perishes has to be in the cold by then; null where it is, or need not be. */
  readonly coldBy: number | null
  /** The same two dates for one that is in the cold in time. */
  readonly inCold: readonly [number, number]
  readonly liked: Liked
  /** True where it was entered afterwards, from memory. */
  readonly fromMemory?: boolean | undefined
  /** As sweet as so many g of sugar in 100 g, warm. */
  readonly sweetness?: number | undefined
}

const Thing = z.strictObject({ id: z.string().max(64), name: z.string().max(60) }).nullable()
/** A pan or fire as it was called then; null where none is known. */
export type BatchThing = { readonly id: string, readonly name: string } | null

const lineShape = {
  id: Id,
  dishId: Id,
  dish: Name,
  startedAt: Millis,
  note: z.string(),
  family: z.string().nullable(),
  version: z.number().int().nullable(),
  pan: Thing,
  fire: Thing,
  after: BatchAfterSchema.nullable(),
}

/** One line of the list of batches. */
export const BatchListLineSchema = z.strictObject({
  ...lineShape,
  summary: BatchPictureSchema,
  unreadable: z.boolean().optional(),
})
export interface BatchListLine {
  readonly id: string
  readonly dishId: string
  readonly dish: string
  readonly startedAt: number
  readonly summary: BatchPicture
  readonly note: string
  readonly family: string | null
  /** Version of the dish it was cooked by. */
  readonly version: number | null
  readonly pan: BatchThing
  readonly fire: BatchThing
  /** Null for batches from before anything was kept of what comes after the fire. */
  readonly after: BatchAfter | null
  /** True where it stands in the house and cannot be read by this version; it is kept as it is. */
  readonly unreadable?: boolean | undefined
}

/** One batch of the ledger with its whole summary. */
export const BatchLineSchema = z.strictObject({ ...lineShape, summary: BatchSummarySchema })
export interface BatchLine extends BatchListLine { readonly summary: BatchSummary }

/** A page of the ledger, newest first; `next` asks for the one after. */
export const BatchPageSchema = z.strictObject({ batches: z.array(BatchListLineSchema), next: z.string().nullable() })
export interface BatchPage { readonly batches: readonly BatchListLine[], readonly next: string | null }

const Count = z.strictObject({ id: z.string(), name: z.string(), count: z.number().int() })
/** How many batches there are, how many came right, and what they can be filtered by. */
export const BatchTallySchema = z.strictObject({
  count: z.number().int(),
  right: z.number().int(),
  oldest: Millis.nullable(),
  newest: Millis.nullable(),
  dishes: z.array(Count),
  families: z.array(Count),
  faults: z.array(Count),
  pans: z.array(Count),
  fires: z.array(Count),
  seasons: z.array(Count),
})
export type BatchTally = z.infer<typeof BatchTallySchema>

/** A batch that is still in the house. */
export const InHouseSchema = z.strictObject({ batches: z.array(BatchListLineSchema) })

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

/**
 * A batch as it is remembered: its base, and minutes from the lighting; the roast only where there is one and it is
 * known.
 */
export const RememberedSchema = z.strictObject({
  baseG: z.number().min(20).max(20_000),
  roastMin: z.number().gt(0).max(300).nullable(),
  totalMin: z.number().min(3).max(300),
})
