import { z } from 'zod'
import type { Day, Starts } from '../core/day/problem/day'

/** A minute from 00:00 of the first day; five weeks at most. */
const Minute = z.number().int().min(0).max(50_400)
const Minutes = z.number().int().min(0).max(50_400)
const Key = z.string().trim().min(1).max(60)
const StepKey = z.string().min(3).max(125)

export const SERVINGS = ['hot', 'warm', 'room', 'cold'] as const
export const ServingSchema = z.enum(SERVINGS)
export const VESSEL_KINDS = ['heavy', 'heavyL', 'pot', 'ppan', 'grinder', 'tray', 'cold'] as const
export const VesselKindSchema = z.enum(VESSEL_KINDS)
const PerServing = z.object({
  hot: z.number().min(0).max(1e4),
  warm: z.number().min(0).max(1e4),
  room: z.number().min(0).max(1e4),
  cold: z.number().min(0).max(1e4),
})
export const DurationsSchema = z.tuple([Minutes, Minutes, Minutes])
const HandsSchema = z.union([z.literal(0), z.literal(0.5), z.literal(1)])
const Flag = z.union([z.literal(0), z.literal(1)])

const ActivitySchema = z.object({
  id: Key,
  dur: DurationsSchema,
  hands: HandsSchema,
  burner: Flag,
  grinder: Flag.optional(),
  night: z.boolean().optional(),
  hot: z.boolean().optional(),
  cooks: z.array(z.number().int().min(0).max(20)).max(20).optional(),
})
const LagSchema = z.object({ from: Key, to: Key, min: Minutes, max: Minutes.nullable(), kind: z.string().max(40) })
/** Where a dish begins to stand outside the cold, and most minutes until its meal. */
export const StandsSchema = z.object({ from: Key, most: Minutes, warms: DurationsSchema.optional() })
const DayDishSchema = z.object({
  id: Key, template: z.string().max(120), meal: Key, serve: ServingSchema, sink: Key, ready: Minutes,
  activities: z.array(ActivitySchema).min(1).max(40), lags: z.array(LagSchema).max(120),
  holds: z.array(z.object({ need: VesselKindSchema, first: Key, last: Key })).max(40),
  hotPour: z
    .object({ heat: Key, pour: Key, max: Minutes, reheat: z.object({ dur: DurationsSchema, maxWait: Minutes }) })
    .optional(),
  stands: StandsSchema.optional(),
})

/** A day to be planned, schema 1 and more (`docs/formats.md`); whole minutes from 00:00 of the first day. */
export const DaySchema = z.object({
  id: Key,
  now: Minute,
  horizon: Minute,
  cooks: z.number().int().min(0).max(12),
  burners: z.number().int().min(0).max(12),
  away: z
    .array(
      z.object({
        cook: z.union([z.number().int().min(0).max(20), z.literal('all')]),
        from: Minute,
        to: Minute,
        why: z.string().max(120),
      }),
    )
    .max(200),
  vessels: z
    .array(z.object({ id: Key, kind: VesselKindSchema, litres: z.number().min(0).max(200).optional() }))
    .max(60),
  meals: z
    .array(z.object({ id: Key, at: Minute }))
    .min(1)
    .max(60),
  weights: z.object({
    late: z.number().min(0).max(1e4),
    span: z.number().min(0).max(100),
    reheat: z.number().min(0).max(1e4),
    early: PerServing,
    stale: PerServing,
    window: PerServing,
    maxEarly: PerServing,
  }),
  dishes: z.array(DayDishSchema).max(400),
  links: z
    .array(LagSchema.extend({ from: StepKey, to: StepKey }))
    .max(200)
    .optional(),
  washMin: Minutes.optional(),
  spans: z.enum(['triangle', 'percentiles']).optional(),
  wishes: z
    .array(
      z.discriminatedUnion('kind', [
        z.object({ kind: z.literal('pin'), step: StepKey, start: Minute }),
        z.object({ kind: z.literal('forbid'), step: StepKey, from: Minute, to: Minute }),
      ]),
    )
    .max(200)
    .optional(),
}) satisfies z.ZodType<Day>

/** Start minute of every step, by `dish.activity`. */
export const StartsSchema = z.record(StepKey, z.number().int().min(0).max(50_400)) satisfies z.ZodType<Starts>
