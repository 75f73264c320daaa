import { z } from 'zod'
import { BatchSummarySchema } from './batch'
import { Id } from './ids'
import { COLOUR_STEPS } from '../core/formulation/signs/signIds'

/** How much of a finished cook is worked out: all of it, what is only told anew, or what was marked and no run. */
export const SETTLING_WAYS = ['settle', 'retell', 'bare'] as const
export type SettlingWay = (typeof SETTLING_WAYS)[number]

/** What is worked out aside, off the process that serves. */
export const AsideJobSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('settle'), cook: Id, way: z.enum(SETTLING_WAYS) }),
  z.strictObject({ kind: z.literal('standing'), cook: Id, nowMs: z.number(), vessel: Id.nullable() }),
  z.strictObject({ kind: z.literal('closing'), cook: Id, nowMs: z.number() }),
])
export type AsideJob = z.infer<typeof AsideJobSchema>

const Ms = z.number().nullable()

/**
 * What came of settling a cook: when it began and ended, up to which place of its log, and its batch once it is
 * finished.
 */
export const SettledSchema = z.strictObject({
  startedAt: Ms, finishedAt: Ms, upTo: z.number().int(),
  batch: z.strictObject({
    dishId: z.string(), dish: z.string(), summary: BatchSummarySchema, evidence: z.array(z.unknown()),
    /** Columns that lists draw from and find by. */
    columns: z.record(z.string(), z.union([z.string(), z.number(), z.null()])),
  }).nullable(),
})
export type SettledAside = z.infer<typeof SettledSchema>

/**
 * How a cook on the fire stands for a device: its main vessel, how light each step of its roast is (L*), and what is
 * expected in a vessel.
 */
export const StandingSchema = z.strictObject({
  running: z.boolean(), mainVessel: z.string(), stepLightness: z.record(z.enum(COLOUR_STEPS), z.number()),
  expected: z
    .strictObject({
      tareG: z.number(),
      contentG: z.strictObject({ early: z.number(), late: z.number() }),
      tempC: z.strictObject({ early: z.number(), late: z.number() }),
    })
    .nullable(),
})
export type StandingAside = z.infer<typeof StandingSchema>

/** When a cook that was left open was likeliest done, by its own forecast; null where it may still be on the fire. */
export const ClosingSchema = z.strictObject({ doneAt: Ms, stillLikely: z.boolean() })
export type ClosingAside = z.infer<typeof ClosingSchema>

/** What each kind of job answers with. */
export const ASIDE_ANSWERS = { settle: SettledSchema, standing: StandingSchema, closing: ClosingSchema } as const
export interface AsideAnswers {
  readonly settle: SettledAside
  readonly standing: StandingAside
  readonly closing: ClosingAside
}
