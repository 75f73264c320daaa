import { z } from 'zod'
import type { Belief } from '../core/materials/belief/belief'
import { firstBelief } from '../core/process/belief/firstBelief'
import { FIRE_KIND_IDS } from '../core/materials/fire/fireKinds'
import type { Observation } from '../core/record/marks/observation'
import type { CookPlan } from '../core/record/plan/plan'
import { MATERIALS } from '../core/materials/vessel/vessel'
import { DishSchema } from './dish'
import { FlameTurnSchema } from './flames'
import { ForecastSchema } from './forecast'
import { Id, Millis, Name } from './ids'
import { CompositionSchema, IngredientSchema, LabSchema } from './ingredient'
import { AnyObservationSchema, StoredObservationSchema, type StoredObservation } from './observation'

/** A factor further from what is believed of any kitchen than this, a twentieth or twenty times, is a mistake. */
const MOST_FACTOR = 20
const FIRST = new Map(firstBelief().entries.map(entry => [entry.name, entry]))
/** Names of newer versions are kept and passed over. */
function nearFirst({
  name,
  kind,
  median,
}: {
  readonly name: string
  readonly kind: string
  readonly median: number
}): boolean {
  const first = FIRST.get(name)
  return (
    !first
    || (kind === first.kind
      && (kind !== 'factor' || (median > first.median / MOST_FACTOR && median < first.median * MOST_FACTOR)))
  )
}

/** What is believed of the uncertain numbers. */
export const BeliefSchema = z.strictObject({
  entries: z
    .array(
      z
        .strictObject({
          name: z.string().min(1).max(40),
          median: z.number().min(-1e7).max(1e7),
          spread: z.number().min(0).max(1e6),
          kind: z.enum(['factor', 'distance']),
          unit: z.string().max(80),
          follows: z
            .array(z.strictObject({ name: z.string().min(1).max(40), much: z.number().min(-2).max(2) }))
            .max(10)
            .optional(),
          basis: z.string().max(200),
          restsOn: z.array(Id).max(2000),
        })
        .refine(({ kind, median, spread }) => kind !== 'factor' || (median > 0 && spread <= 2), {
          message: 'factor-above-zero',
        })
        .refine(nearFirst, { message: 'beyond-belief' }),
    )
    .max(100),
}) satisfies z.ZodType<Belief>

const PlanVesselSchema = z.strictObject({
  id: Id, name: Name,
  vessel: z.strictObject({
    innerDiameterMm: z.number().min(80).max(700),
    depthMm: z.number().min(20).max(500),
    massG: z.number().min(50).max(20000),
    material: z.enum(MATERIALS),
  }),
  coated: z.boolean(),
  massGuessed: z.boolean(),
})

const PlanFireSchema = z.strictObject({
  id: Id, name: Name,
  marks: z
    .array(z.strictObject({ id: Id, label: z.string().min(1).max(20), watts: z.number().min(20).max(6000) }))
    .min(1)
    .max(12),
  kind: z.enum(FIRE_KIND_IDS).optional(),
  lagS: z.number().min(0).max(900).optional(),
})

/** A cook's plan; it never changes once the cook exists. */
export const CookPlanSchema = z.strictObject({
  id: Id,
  dish: DishSchema,
  amounts: z
    .array(
      z.strictObject({
        id: Id,
        ingredient: Id,
        massG: z.number().min(0).max(20000),
        composition: CompositionSchema,
        soakedG: z.number().min(0).max(60000).optional(),
        smokeC: z.number().min(100).max(300).optional(),
        look: LabSchema.optional(),
        own: IngredientSchema.optional(),
      }),
    )
    .min(1)
    .max(30),
  vessels: z.record(Id, PlanVesselSchema),
  fires: z.record(Id, PlanFireSchema),
  flames: z.record(Id, Id),
  turns: z.array(FlameTurnSchema).max(8).optional(),
  cup: z.strictObject({ id: Id, name: Name, volumeMl: z.number().min(1).max(5000) }),
  people: z.number().min(0.5).max(500),
  belief: BeliefSchema,
  seed: z.number().int().min(0).max(2 ** 31),
  modelVersion: z.string().max(40),
  airC: z.number().min(-20).max(55),
  altitudeM: z.number().min(-400).max(6000),
  thermometerK: z.number().min(-15).max(15).optional(),
  plannedAt: Millis,
  forecast: ForecastSchema.nullable(),
}) satisfies z.ZodType<CookPlan>

/** A cook as the server keeps it. */
export const CookSchema = z.strictObject({ plan: CookPlanSchema, observations: z.array(StoredObservationSchema) })
export interface Cook { readonly plan: CookPlan, readonly observations: readonly StoredObservation[] }

/** One line of the list of cooks that are not finished. */
export const LiveCookLineSchema = z.strictObject({
  id: Id, dish: Name, plannedAt: Millis, startedAt: Millis.nullable(),
  /** When it was likeliest done, where it was left open; null where it may still be on the fire. */
  likelyDoneAt: Millis.nullable().default(null),
})
export type LiveCookLine = z.infer<typeof LiveCookLineSchema>

/** When a cook that was left open was done. */
export const CloseCookSchema = z.strictObject({ doneAt: Millis })

/** What the forecast asks for: of the worker and of the command line alike. */
export const ForecastRequestSchema = z.strictObject({
  plan: CookPlanSchema,
  observations: z.array(AnyObservationSchema).max(2000),
  nowS: z.number().min(0).max(86400),
  members: z.number().int().min(20).max(20000),
})
export interface ForecastRequest {
  readonly plan: CookPlan
  readonly observations: readonly Observation[]
  readonly nowS: number
  readonly members: number
}
