import { z } from 'zod'

const Text = z.string().max(5000)

/**
 * As much of a schema.org Recipe (JSON-LD) as is read and written. Unknown properties are let through and left out; a
 * text that is markup is taken as text.
 */
export const RecipeLdSchema = z.looseObject({
  '@context': z.unknown().optional(),
  '@type': z.union([z.literal('Recipe'), z.array(z.string()).refine(types => types.includes('Recipe'))]),
  'name': z.string().trim().min(1).max(300),
  'recipeIngredient': z.array(z.string().max(300)).min(1).max(60),
  'recipeYield': z.union([Text, z.number(), z.array(z.union([Text, z.number()]))]).optional(),
})
export type RecipeLd = z.infer<typeof RecipeLdSchema>
