import { z } from 'zod'
import type { Day } from '../core/day/problem/day'
import { DAY_TROUBLES, type DayTrouble } from '../core/day/problem/checkDay'
import { CLASH_KINDS } from '../core/day/planning/clashOf'
import type { Least, Offer, OffersTold, PlanAtHand, Planned, PlanTold } from '../core/day/planning/planDay'
import type { DayTries } from '../core/day/planning/simulateDay'
import { DaySchema, StartsSchema } from './day'

const PlanAtHandSchema = z.strictObject({
  room: z.number().min(0).max(10),
  lateMin: z.number().min(0),
  spanMin: z.number().min(0),
}) satisfies z.ZodType<PlanAtHand>

/**
 * What the page asks of the planner: a day to be planned for some seconds, or to stop. A newer question ends an older
 * one.
 */
export const PlannerQuestionSchema = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('plan'),
    ticket: z.number().int(),
    day: DaySchema,
    seconds: z.number().min(0.05).max(120),
  }),
  z.strictObject({
    type: z.literal('offers'),
    ticket: z.number().int(),
    day: DaySchema,
    plan: PlanAtHandSchema.nullable(),
  }),
  z.strictObject({ type: z.literal('stop'), ticket: z.number().int() }),
])
export type PlannerQuestion =
  | { readonly type: 'plan', readonly ticket: number, readonly day: Day, readonly seconds: number }
  /** What would help, where the meals cannot be kept or the day is long. */
  | { readonly type: 'offers', readonly ticket: number, readonly day: Day, readonly plan: PlanAtHand | null }
  | { readonly type: 'stop', readonly ticket: number }

export type { Least, Offer, PlanAtHand, Planned }

const PlannedSchema = z.strictObject({
  starts: StartsSchema,
  late: z.record(z.string(), z.number().int()),
  cost: z.number(),
  bound: z.number(),
  proven: z.boolean(),
  room: z.number(),
}) satisfies z.ZodType<Planned>
/** Least that any plan waits and heats again, null where that is not proven. */
export const LeastSchema = z.strictObject({
  waitMin: z.number().int().nullable(),
  reheats: z.number().int().nullable(),
}) satisfies z.ZodType<Least>
const TriesSchema = z.strictObject({
  tries: z.number().int(),
  lateTries: z.number().int(),
  meals: z.number().int(),
  lateMeals: z.number().int(),
  pours: z.number().int(),
  coldPours: z.number().int(),
  waitedBases: z.number().int(),
  spanMin: z.number(),
  tightest: z.array(z.strictObject({ step: z.string(), lateTries: z.number().int() })),
}) satisfies z.ZodType<DayTries>

/** Changes of the kitchen that are tried for a day that does not fit. */
export const OFFER_KINDS = [
  'fire',
  'hands',
  'heavy',
  'pot',
  'ppan',
  'grinder',
  'tray',
  'cold',
  'chilled',
  'sooner',
] as const satisfies readonly Offer['kind'][]
export type OfferKind = Offer['kind']
export const PlannerAnswerSchema = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('plan'),
    ticket: z.number().int(),
    plan: PlannedSchema.nullable(),
    done: z.boolean(),
    seconds: z.number(),
  }),
  z.strictObject({
    type: z.literal('latest'),
    ticket: z.number().int(),
    latest: z.record(z.string(), z.number().int()),
    least: LeastSchema,
  }),
  z.strictObject({
    type: z.literal('clash'),
    ticket: z.number().int(),
    clash: z.array(z.strictObject({ kind: z.enum(CLASH_KINDS), about: z.string() })),
  }),
  z.strictObject({ type: z.literal('tries'), ticket: z.number().int(), tries: TriesSchema }),
  z.strictObject({
    type: z.literal('offers'),
    ticket: z.number().int(),
    now: z.strictObject({ lateMin: z.number(), spanMin: z.number() }),
    offers: z.array(z.strictObject({ kind: z.enum(OFFER_KINDS), lateMin: z.number(), spanMin: z.number() })),
    done: z.boolean(),
  }),
  z.strictObject({
    type: z.literal('refused'),
    ticket: z.number().int(),
    troubles: z.array(z.strictObject({ code: z.enum(DAY_TROUBLES), about: z.string() })),
  }),
])
export type PlannerAnswer =
  | (PlanTold & { readonly ticket: number })
  | (OffersTold & { readonly type: 'offers', readonly ticket: number })
  | { readonly type: 'refused', readonly ticket: number, readonly troubles: readonly DayTrouble[] }
