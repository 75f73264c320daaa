import { z } from 'zod'
import type { Choices } from '../core/formulation/dish/choices'
import { ChoicesSchema, DishCardSchema } from './dish'
import { Id } from './ids'
import { CorrectionSchema, MeasureSchema, PanSchema } from './kitchen'

/** What every measuring command is asked with: a dish, how much of its base, and what it is measured with. */
const asked = {
  dish: DishCardSchema,
  /** g; the dish's usual amount where it is left out. */
  baseG: z.number().min(5).max(20000).optional(),
  /** The cup in hand first, then spoons. */
  measures: z.array(MeasureSchema).min(1).max(20),
  corrections: z.array(CorrectionSchema).max(200).default([]),
}

/** `hearth amounts`: a dish measured out, with its liquid account and what comes of it. */
export const AmountsRequestSchema = z.strictObject(asked)

/** `hearth scale`: how much is wanted, in words, or on the household's own marks. */
export const ScaleRequestSchema = z.strictObject({
  ...asked,
  /** Such as `930 g sweet potato, peeled`, `6 people`, `×2`; left out, the scales on own marks are given. */
  wanted: z.string().max(80).optional(),
  pan: PanSchema.optional(),
})

/** `hearth swap`: one ingredient for others, keeping the balance. */
export const SwapRequestSchema = z.strictObject({
  dish: DishCardSchema,
  /** Id of the ingredient within the dish. */
  ingredient: Id,
  /** Id of a swap of the book; left out, every swap that fits is given. */
  swap: Id.optional(),
  corrections: z.array(CorrectionSchema).max(200).default([]),
})

/** `hearth stages`: the stages that follow from a dish and its choices, some of them changed. */
export const StagesRequestSchema = z.strictObject({
  dish: DishCardSchema,
  choices: ChoicesSchema.partial().optional(),
}) satisfies z.ZodType<{ dish: unknown, choices?: Partial<Choices> | undefined }>
