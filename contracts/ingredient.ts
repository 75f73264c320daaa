import { z } from 'zod'
import { ALLERGENS, KINDS, type Ingredient } from '../core/materials/composition/ingredient'
import type { Composition } from '../core/materials/composition/composition'
import { Id, Name } from './ids'

export type { Ingredient } from '../core/materials/composition/ingredient'

const Share = z.number().min(0).max(1)
const Part = z.number().min(0).max(100)

/** Shares of an ingredient's weight; they add to one. */
export const CompositionSchema = z.strictObject({
  water: Share, solids: Share, fat: Share, sugar: Share, nuts: Share, invert: Share.optional(),
}).refine(parts => Math.abs(parts.water + parts.solids + parts.fat + parts.sugar + parts.nuts - 1) < 0.005, {
  message: 'shares-add-to-one',
}) satisfies z.ZodType<Composition>

/** CIELAB under D65. */
export const LabSchema = z.strictObject({
  lightness: z.number().min(0).max(100), a: z.number().min(-128).max(128), b: z.number().min(-128).max(128),
})

const OriginOfFigure = z.enum(['table', 'recalled', 'estimate', 'weighed'])

/** One row of the ingredient table. */
export const IngredientSchema = z.strictObject({
  id: Id,
  name: Name,
  otherNames: z.array(Name).max(16),
  kind: z.enum(KINDS),
  families: z.array(Id).max(6),
  /** Poured, not packed: g/ml. */
  bulkDensity: z.number().min(0.1).max(2),
  piece: z
    .strictObject({
      noun: z.string().min(1).max(30),
      plural: z.string().min(1).max(30),
      small: z.number().gt(0),
      medium: z.number().gt(0),
      large: z.number().gt(0),
    })
    .nullable(),
  yields: z.strictObject({
    prepared: z.number().min(0.1).max(1),
    soakGain: z.number().min(0).max(2),
    ground: z.number().min(0.5).max(1),
  }),
  /** Parts of 100 g, energy in kJ. */
  nutrients: z.strictObject({
    water: Part,
    protein: Part,
    fat: Part,
    sucrose: Part,
    glucose: Part,
    fructose: Part,
    maltose: Part,
    lactose: Part,
    starch: Part,
    fibre: Part,
    ash: Part,
    acids: Part,
    energyKj: z.number().min(0).max(3900),
  }),
  composition: CompositionSchema,
  /** Grain that scratches a coated pan. */
  coarse: z.boolean(),
  own: z.literal(true).optional(),
  /** Foods that carry an allergen, by the name of the allergen. */
  allergens: z.array(z.enum(ALLERGENS)).max(6),
  /** Colour it is drawn in. */
  colour: LabSchema,
  /** From when a fat smokes, °C. */
  smokeC: z.number().min(100).max(300).optional(),
  packagesG: z.array(z.number().gt(0)).min(1).max(6),
  keepsDays: z.number().int().min(1).max(3650),
  source: z.strictObject({
    density: z.string().min(1),
    composition: z.string().min(1),
    densityOrigin: OriginOfFigure,
    compositionOrigin: OriginOfFigure,
  }),
}) satisfies z.ZodType<Ingredient>

/** An ingredient of the household's own, as it is typed: what is left empty is taken from the food it is most like. */
export const OwnIngredientSchema = z.strictObject({
  name: Name,
  like: Id,
  bulkDensity: z.number().min(0.1).max(2).nullable(),
  pricePerKg: z.number().gt(0).max(1_000_000).nullable(),
})
