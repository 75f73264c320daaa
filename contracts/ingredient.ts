import { z } from 'zod'
import type { Composition } from '../core/live/plan'
import { Id, Name } from './ids'

const Share = z.number().min(0).max(1)

/** Shares of an ingredient's weight; they add to one. */
export const CompositionSchema = z.strictObject({
  water: Share, solids: Share, fat: Share, sugar: Share, nuts: Share,
}).refine(parts => Math.abs(parts.water + parts.solids + parts.fat + parts.sugar + parts.nuts - 1) < 0.005, {
  message: 'shares-add-to-one',
}) satisfies z.ZodType<Composition>

/** CIELAB under D65. */
export const LabSchema = z.strictObject({
  lightness: z.number().min(0).max(100), a: z.number().min(-128).max(128), b: z.number().min(-128).max(128),
})

/** One row of the ingredient table. */
export const IngredientSchema = z.strictObject({
  id: Id,
  name: Name,
  otherNames: z.array(Name).max(12),
  /** Poured, not packed: g/ml. */
  bulkDensity: z.number().min(0.1).max(2),
  composition: CompositionSchema,
  /** Grain that scratches a coated pan. */
  coarse: z.boolean(),
  /** Foods that carry an allergen, by the name of the allergen. */
  allergens: z.array(z.enum(['milk', 'wheat', 'cashew', 'almond', 'pistachio', 'peanut', 'sesame', 'soya', 'coconut'])),
  /** Colour it is drawn in. */
  colour: LabSchema,
  source: z.string().min(1),
})
export type Ingredient = z.infer<typeof IngredientSchema>
