import { z } from 'zod'
import type { Json } from '../core/formulation/exchange/recipe/findRecipes'

/** JSON of a file somebody gives: anything, as long as it is JSON. */
export const JsonSchema = z.json() as z.ZodType<Json>
