import { z } from 'zod'
import type { DishCard } from '../core/formulation/dish/dish'
import type { FlameTurn } from '../core/record/plan/flameTurn'
import { DishCardSchema } from './dish'
import { FlameTurnSchema } from './flames'
import { Id } from './ids'

/** What the household has chosen on the Measure screen; kept on the device. */
export const SheetSchema = z.strictObject({
  /** The dish in hand, with what was changed since it was taken from the book. */
  dish: DishCardSchema,
  baseG: z.number().min(5).max(20000),
  cup: z.string(), pan: z.string(), pot: z.string(), fire: z.string(), otherFire: z.string(),
  /** Flame marks by stage; what is not here is guessed. */
  marks: z.record(Id, z.string()),
  /** Turns of the flame in the last roast, where a flame plan was taken. */
  turns: z.array(FlameTurnSchema).max(8).optional(),
})
export interface Sheet {
  readonly dish: DishCard
  readonly baseG: number
  readonly cup: string
  readonly pan: string
  readonly pot: string
  readonly fire: string
  readonly otherFire: string
  readonly marks: Readonly<Record<string, string>>
  readonly turns?: readonly FlameTurn[] | undefined
}
