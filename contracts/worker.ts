import { z } from 'zod'
import { COLOUR_STEPS } from '../core/formulation/signs/signIds'
import type { FlamePlan } from '../core/process/flame/flamePlan'
import type { RoastAhead } from '../core/process/flame/roastAhead'
import type { Forecast, Reweighed } from '../core/record/plan/forecast'
import { FlameTurnSchema } from './flames'
import { ForecastRequestSchema, type ForecastRequest } from './cook'
import { ForecastSchema, ReweighedSchema } from './forecast'
import { FlameQuestionSchema, FlameWishSchema, type FlameQuestion } from './heart'

const Asked = { ticket: z.number().int(), stream: z.string() }
const Answered = { ticket: z.number().int() }

/** What the page asks of the forecast worker. A newer question of the same stream makes an older one stale. */
export const WorkerQuestionSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('forecast'), ...Asked, request: ForecastRequestSchema }),
  z.strictObject({ type: z.literal('flame-plan'), ...Asked, request: FlameQuestionSchema }),
  z.strictObject({ type: z.literal('roast-ahead'), ...Asked, request: ForecastRequestSchema, wish: FlameWishSchema }),
  z.strictObject({ type: z.literal('give-up'), ...Asked }),
])
/** Common to all: the number of the question, and whose question it is. */
interface Asking { readonly ticket: number, readonly stream: string }
export type WorkerQuestion = Asking & (
  | { readonly type: 'forecast', readonly request: ForecastRequest }
  | { readonly type: 'flame-plan', readonly request: FlameQuestion }
  | { readonly type: 'roast-ahead', readonly request: ForecastRequest, readonly wish: FlamePlan['wish'] }
  /** What is asked in this stream is no longer wanted. */
  | { readonly type: 'give-up' }
)

const Share = z.number().min(-1e-9).max(1 + 1e-9)
const WindowSchema = z.strictObject({ early: z.number(), middle: z.number(), late: z.number() })
const ScheduleSchema = z.strictObject({
  turns: z.array(FlameTurnSchema).min(1).max(8),
  lastsS: WindowSchema, reaches: Share, burns: Share, inTime: Share, onColour: Share,
})
/** A flame plan: schedules, shares of one, times in s since the start of the roast. */
export const FlamePlanSchema = z.strictObject({
  wish: FlameWishSchema,
  advised: ScheduleSchema,
  safer: ScheduleSchema.nullable(),
  quicker: ScheduleSchema.nullable(),
  leastS: z.number(),
  met: z.boolean(),
  tried: z.number().int(),
}) satisfies z.ZodType<FlamePlan>
const TakeOffSchema = z.strictObject({ timeS: z.number(), reaches: Share })
/** What is ahead of a running roast. */
const RoastAheadSchema = z.strictObject({
  due: z.partialRecord(z.enum(['aroma', ...COLOUR_STEPS]), z.number()), end: TakeOffSchema, endIfOff: TakeOffSchema,
}) satisfies z.ZodType<RoastAhead>

/** What the worker answers, errors included. Steps on the way to an answer are `reweighed`, or carry `done` below 1. */
export const WorkerAnswerSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('forecast'), ...Answered, forecast: ForecastSchema }),
  z.strictObject({ type: z.literal('reweighed'), ...Answered, reweighed: ReweighedSchema }),
  z.strictObject({ type: z.literal('flame-plan'), ...Answered, flamePlan: FlamePlanSchema, done: Share }),
  z.strictObject({ type: z.literal('roast-ahead'), ...Answered, ahead: RoastAheadSchema }),
  z.strictObject({ type: z.literal('refused'), ...Answered, code: z.string(), path: z.string() }),
])
export type WorkerAnswer =
  | { readonly type: 'forecast', readonly ticket: number, readonly forecast: Forecast }
  /** A first answer to a mark, from stored runs; the one from new runs follows. */
  | { readonly type: 'reweighed', readonly ticket: number, readonly reweighed: Reweighed }
  /** The best plan so far, and the share of the search that is done. */
  | { readonly type: 'flame-plan', readonly ticket: number, readonly flamePlan: FlamePlan, readonly done: number }
  | { readonly type: 'roast-ahead', readonly ticket: number, readonly ahead: RoastAhead }
  | { readonly type: 'refused', readonly ticket: number, readonly code: string, readonly path: string }
