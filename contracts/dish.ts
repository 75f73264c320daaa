import { FORMS } from '../core/formulation/dish/forms'
import { z } from 'zod'
import { ALLERGENS } from '../core/materials/composition/ingredient'
import { COOKINGS, FAT_WAYS, FINISHES, LIQUIDS, NUT_WAYS, POURS, PREPARATIONS, ROASTS, SUGAR_WAYS, TASTINGS, type Choices } from '../core/formulation/dish/choices'
import { DOINGS, FLAMES, PARTS, type Dish, type DishCard } from '../core/formulation/dish/dish'
import { FAMILY_IDS } from '../core/formulation/family/family'
import { Id, Millis, Name } from './ids'
import { SIGN_IDS } from '../core/formulation/signs/signIds'

const BoundarySchema = z.strictObject({ stage: Id, edge: z.enum(['start', 'end']) })
const Codes = z.array(Id).max(12).optional()

const StageSchema = z.strictObject({
  id: Id,
  vessel: Id,
  does: z.enum(DOINGS),
  adds: z.array(z.strictObject({ ingredient: Id, share: z.number().gt(0).max(1) })).max(40),
  takesOut: z.array(Id).max(10),
  flame: z.enum(FLAMES),
  lid: z.boolean(),
  until: z.union([z.strictObject({ sign: z.enum(SIGN_IDS) }), z.strictObject({ minutes: z.number().gt(0).max(1440) })]),
  from: Id.optional(),
  meets: BoundarySchema.optional(),
  phase: z.enum(['before', 'fire', 'after']).optional(),
  hands: z.union([z.literal(0), z.literal(0.5), z.literal(1)]).optional(),
  freeOf: z.array(z.enum(ALLERGENS)).max(ALLERGENS.length).optional(),
  handles: Codes,
  watch: Codes,
  cautions: Codes,
  expect: Codes,
})

/** Every question on which cooks disagree, answered. */
export const ChoicesSchema = z.strictObject({
  form: z.enum(FORMS),
  preparation: z.enum(PREPARATIONS),
  roast: z.enum(ROASTS),
  fat: z.enum(FAT_WAYS),
  liquid: z.enum(LIQUIDS),
  pour: z.enum(POURS),
  sugar: z.enum(SUGAR_WAYS),
  nuts: z.enum(NUT_WAYS),
  cooking: z.enum(COOKINGS),
  finish: z.enum(FINISHES),
  tasting: z.enum(TASTINGS),
  lots: z.boolean(),
}) satisfies z.ZodType<Choices>

/** What a base beside the first is, and how it is got ready. */
const AsBaseSchema = z.strictObject({ family: z.enum(FAMILY_IDS), preparation: z.enum(PREPARATIONS) })

const head = {
  id: Id,
  version: z.number().int().min(1),
  name: Name,
  otherNames: z.array(Name).max(16),
  base: Id,
  ingredients: z
    .array(
      z.strictObject({
        id: Id,
        ingredient: Id,
        perBase: z.number().min(0).max(20),
        part: z.enum(PARTS).optional(),
        asBase: AsBaseSchema.optional(),
      }),
    )
    .min(1)
    .max(40),
  portionG: z.number().min(5).max(2000),
  usual: z.strictObject({ baseG: z.number().gt(0).max(20000), minutes: z.record(Id, z.number().gt(0).max(1440)) }),
  kept: z.strictObject({ share: z.number().min(0.02).max(1), spread: z.number().gt(0).max(0.3) }),
}

/** A dish as it is kept and exchanged: ingredients and choices; see docs/formats.md. */
export const DishCardSchema = z
  .strictObject({
    ...head,
    family: z.enum(FAMILY_IDS),
    choices: ChoicesSchema,
    note: z.string().max(400).optional(),
  })
  .refine(card => new Set(card.ingredients.map(one => one.id)).size === card.ingredients.length, {
    message: 'ids-differ',
  })
  .refine(card => card.ingredients.some(one => one.id === card.base && one.perBase === 1), {
    message: 'base-is-one',
  }) satisfies z.ZodType<DishCard>

/** A dish with its stages laid out, as plans keep it. */
export const DishSchema = z.strictObject({
  ...head,
  family: Id,
  note: z.string().max(400).optional(),
  choices: ChoicesSchema.optional(),
  vessels: z.array(z.strictObject({ id: Id, kind: z.enum(['pan', 'pot']) })).min(1).max(6),
  stages: z.array(StageSchema).min(1).max(40),
  keystone: BoundarySchema,
}) satisfies z.ZodType<Dish>

/** Whether a dish is put aside. */
export const AsideSchema = z.strictObject({ aside: z.boolean() })

/** One version of a dish in its history. */
export const DishVersionSchema = z.strictObject({
  version: z.number().int(),
  name: Name,
  createdAt: Millis,
  dish: DishCardSchema,
})

/** One version of a dish. */
export type DishVersion = z.infer<typeof DishVersionSchema>
