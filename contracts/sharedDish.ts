import { z } from 'zod'
import type { DishCard } from '../core/formulation/dish/dish'
import { DishCardSchema } from './dish'
import { IngredientSchema, type Ingredient } from './ingredient'

/** A dish as it goes to another house: with what of it that house cannot know. */
export interface SharedDish {
  readonly dish: DishCard
  /** Ingredients of the giving household's own. */
  readonly ingredients: readonly Ingredient[]
}
export const SharedDishSchema = z.strictObject({
  dish: DishCardSchema,
  ingredients: z.array(IngredientSchema).max(30),
}) satisfies z.ZodType<SharedDish>
