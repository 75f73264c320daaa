import { z } from 'zod'
import type { Spread } from '../core/day/spread/spread'
import { DurationsSchema, ServingSchema, StartsSchema, VesselKindSchema } from './day'
import { DishCardSchema } from './dish'
import { Id, Millis, Name } from './ids'

const Key = z.string().trim().min(1).max(60).regex(/^[A-Za-z0-9_-]+$/)
const Minute = z.number().int().min(0).max(50_400)
const Text = z.string().trim().max(120)
const StepKey = z.string().min(3).max(125)
const AwaySchema = z.strictObject({ from: Minute, to: Minute, why: Text })
const LagSchema = z.strictObject({ from: Key, to: Key, min: Minute, max: Minute.nullable(), kind: z.string().max(40) })

/** Steps of a dish as they were derived when it was put on the day; ids are stages of the dish. */
export const StepsSchema = z.strictObject({
  activities: z
    .array(
      z.strictObject({
        id: Key,
        dur: DurationsSchema,
        hands: z.union([z.literal(0), z.literal(0.5), z.literal(1)]),
        burner: z.union([z.literal(0), z.literal(1)]),
        grinder: z.union([z.literal(0), z.literal(1)]).optional(),
        night: z.boolean().optional(),
        hot: z.boolean().optional(),
      }),
    )
    .min(1)
    .max(40),
  lags: z.array(LagSchema).max(120),
  holds: z.array(z.strictObject({ need: VesselKindSchema, first: Key, last: Key })).max(40),
  hotPour: z
    .strictObject({
      heat: Key,
      pour: Key,
      max: Minute,
      reheat: z.strictObject({ dur: DurationsSchema, maxWait: Minute }),
    })
    .optional(),
  sink: Key,
  ready: Minute,
  stands: z.strictObject({ from: Key, most: Minute, warms: DurationsSchema.optional() }).nullable().optional(),
})

/** A day of cooking as a household keeps it; minutes from 00:00 of the eve. */
export const SpreadSchema = z.strictObject({
  id: Id, revision: z.number().int().min(0), name: Name, eve: z.iso.date(),
  meals: z.array(z.strictObject({ id: Key, name: Name, at: Minute })).max(20),
  dishes: z
    .array(
      z.strictObject({
        id: Key,
        card: DishCardSchema,
        baseG: z.number().min(5).max(20000),
        meal: Key,
        serve: ServingSchema,
        thickens: z.boolean().optional(),
        chills: z.boolean().optional(),
        steps: StepsSchema,
        colours: z.array(z.string().regex(/^#[0-9a-f]{6}$/)).max(40),
        turn: Key.nullable(),
      }),
    )
    .max(400),
  hands: z
    .array(z.strictObject({ id: Key, name: Name, roasts: z.boolean(), away: z.array(AwaySchema).max(60) }))
    .max(12),
  nights: z.strictObject({ from: z.number().int().min(0).max(1440), to: z.number().int().min(0).max(1440) }).nullable(),
  fires: z.array(z.strictObject({ id: Key, name: Name })).max(12),
  vessels: z
    .array(
      z.strictObject({ id: Key, name: Name, kind: VesselKindSchema, litres: z.number().min(0).max(200).optional() }),
    )
    .max(60),
  washMin: z.number().int().min(0).max(120),
  wishes: z.array(z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('pin'), step: StepKey, start: Minute }),
    z.strictObject({ kind: z.literal('forbid'), step: StepKey, from: Minute, to: Minute }),
  ])).max(200),
  shared: z.array(z.strictObject({ step: Key, from: Key, for: Key })).max(60),
  promises: z
    .array(z.strictObject({ id: Key, whom: Name, dish: Key.nullable(), what: Text, at: Minute, given: z.boolean() }))
    .max(200),
  plan: z
    .strictObject({
      starts: StartsSchema,
      late: z.record(Key, Minute),
      cost: z.number(),
      bound: z.number(),
      proven: z.boolean(),
      room: z.number().min(0).max(10),
      latest: z.record(Key, Minute),
      tries: z
        .strictObject({
          tries: z.number().int(),
          lateTries: z.number().int(),
          pours: z.number().int(),
          coldPours: z.number().int(),
        })
        .nullable(),
      least: z.strictObject({ waitMin: z.number().int().nullable(), reheats: z.number().int().nullable() }).optional(),
    })
    .nullable(),
  doings: z.array(z.strictObject({ step: StepKey, begun: Minute.nullable(), ended: Minute.nullable() })).max(2000),
  cooks: z.array(z.strictObject({ dish: Key, cook: Id })).max(400),
}) satisfies z.ZodType<Spread>
export type { Spread }

/** One day in a list. */
export const SpreadLineSchema = z.strictObject({
  id: Id,
  name: Name,
  eve: z.iso.date(),
  revision: z.number().int(),
  dishes: z.number().int(),
  changedAt: Millis,
})
export type SpreadLine = z.infer<typeof SpreadLineSchema>
export const SpreadListSchema = z.strictObject({ spreads: z.array(SpreadLineSchema) })
