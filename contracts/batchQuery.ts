import { z } from 'zod'
import { END_FAULTS } from '../core/cook/faults/faults'
import { FAMILY_IDS } from '../core/formulation/family/family'
import { Id } from './ids'

/** Quarters of the year: December to February, and so on. */
export const SEASONS = ['dec-feb', 'mar-may', 'jun-aug', 'sep-nov'] as const
export type Season = (typeof SEASONS)[number]

/** What the ledger is filtered by. A fault may be `any` or `none`. */
export const BatchFilterSchema = z.strictObject({
  dish: Id.optional(),
  family: z.enum(FAMILY_IDS).optional(),
  fault: z.union([z.enum(END_FAULTS), z.literal('any'), z.literal('none')]).optional(),
  pan: Id.optional(),
  fire: Id.optional(),
  season: z.enum(SEASONS).optional(),
})
export type BatchFilter = z.infer<typeof BatchFilterSchema>

/** Query of the list of batches. */
export const BatchQuerySchema = BatchFilterSchema.extend({
  limit: z.coerce.number().int().min(1).max(200).default(60),
  cursor: z.string().max(100).optional(),
  /** Only batches begun before it. */
  before: z.coerce.number().int().min(0).optional(),
})
export type BatchQuery = z.infer<typeof BatchQuerySchema>
