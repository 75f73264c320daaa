import { z } from 'zod'
import type { NextDish } from '../core/process/usual/nextDishes'
import { BatchListLineSchema, type BatchListLine } from './batch'
import { Id } from './ids'

/** Dishes that the house is likeliest to make next, each for its own reason. */
export const NextDishesSchema = z.strictObject({
  dishes: z.array(z.strictObject({
    id: Id,
    /** It uses what perishes, all of it is there, it is made often, or it is a first one. */
    why: z.enum(['perishes', 'in-house', 'often', 'first']),
    /** What is not in the house, by short names. */
    missing: z.array(z.string().max(60)).max(60),
    /** What would be used up, and its last day, days since 1970-01-01. */
    uses: z.strictObject({ name: z.string().max(60), lastDay: z.number().int() }).nullable(),
    made: z.number().int().min(0),
    /** The last batch of it that came right. */
    last: BatchListLineSchema.nullable(),
  })).max(12),
}) satisfies z.ZodType<NextDishes>
export interface NextDishes {
  readonly dishes: readonly {
    readonly id: string
    readonly why: NextDish['why']
    readonly missing: readonly string[]
    readonly uses: { readonly name: string, readonly lastDay: number } | null
    readonly made: number
    readonly last: BatchListLine | null
  }[]
}
