import { z } from 'zod'
import { DOINGS, FLAMES, type Dish } from '../core/dish/dish'
import { Id, Name } from './ids'

const BoundarySchema = z.strictObject({ stage: Id, edge: z.enum(['start', 'end']) })

const StageSchema = z.strictObject({
  id: Id,
  vessel: Id,
  does: z.enum(DOINGS),
  adds: z.array(z.strictObject({ ingredient: Id, share: z.number().gt(0).max(1) })).max(20),
  takesOut: z.array(Id).max(10),
  flame: z.enum(FLAMES),
  lid: z.boolean(),
  until: z.union([z.strictObject({ sign: Id }), z.strictObject({ minutes: z.number().gt(0).max(1440) })]),
  from: Id.optional(),
  meets: BoundarySchema.optional(),
})

/** A dish as data; see docs/formats.md. */
export const DishSchema = z.strictObject({
  id: Id,
  version: z.number().int().min(1),
  name: Name,
  otherNames: z.array(Name).max(12),
  family: Id,
  base: Id,
  ingredients: z.array(z.strictObject({ id: Id, ingredient: Id, perBase: z.number().min(0).max(20) })).min(1).max(30),
  vessels: z.array(z.strictObject({ id: Id, kind: z.enum(['pan', 'pot']) })).min(1).max(6),
  stages: z.array(StageSchema).min(1).max(30),
  keystone: BoundarySchema,
  portionG: z.number().min(5).max(2000),
  usual: z.strictObject({ baseG: z.number().gt(0), minutes: z.record(Id, z.number().gt(0)) }),
  kept: z.strictObject({ share: z.number().min(0.3).max(1), spread: z.number().gt(0).max(0.3) }),
}) satisfies z.ZodType<Dish>
