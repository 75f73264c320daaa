import { z } from 'zod'
import { ForecastRequestSchema } from './cook'
import { ForecastSchema } from './forecast'

/** What the page asks of the forecast worker. A newer question of the same stream makes an older one stale. */
export const WorkerQuestionSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('forecast'), ticket: z.number().int(), stream: z.string(), request: ForecastRequestSchema }),
])
export type WorkerQuestion = z.infer<typeof WorkerQuestionSchema>

/** What the worker answers, errors included. */
export const WorkerAnswerSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('forecast'), ticket: z.number().int(), forecast: ForecastSchema }),
  z.strictObject({ type: z.literal('refused'), ticket: z.number().int(), code: z.string(), path: z.string() }),
])
export type WorkerAnswer = z.infer<typeof WorkerAnswerSchema>
