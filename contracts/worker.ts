import { z } from 'zod'
import type { Forecast } from '../core/forecast/forecast'
import { ForecastRequestSchema, type ForecastRequest } from './cook'
import { ForecastSchema } from './forecast'

/** What the page asks of the forecast worker. A newer question of the same stream makes an older one stale. */
export const WorkerQuestionSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('forecast'), ticket: z.number().int(), stream: z.string(), request: ForecastRequestSchema }),
])
export interface WorkerQuestion { readonly type: 'forecast', readonly ticket: number, readonly stream: string, readonly request: ForecastRequest }

/** What the worker answers, errors included. */
export const WorkerAnswerSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('forecast'), ticket: z.number().int(), forecast: ForecastSchema }),
  z.strictObject({ type: z.literal('refused'), ticket: z.number().int(), code: z.string(), path: z.string() }),
])
export type WorkerAnswer =
  | { readonly type: 'forecast', readonly ticket: number, readonly forecast: Forecast }
  | { readonly type: 'refused', readonly ticket: number, readonly code: string, readonly path: string }
