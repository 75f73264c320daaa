import { z } from 'zod'
import type { BoilCheck } from '../core/process/boil/boilCheck'
import type { FlameWish } from '../core/process/flame/flamePlan'
import type { CookPlan } from '../core/record/plan/plan'
import { COLOUR_STEPS } from '../core/formulation/signs/signIds'
import { FIRE_KIND_IDS } from '../core/materials/fire/fireKinds'
import { MATERIALS } from '../core/materials/vessel/vessel'
import { CookPlanSchema } from './cook'
import { Id, Millis } from './ids'
import { AnyObservationSchema } from './observation'

const Altitude = z.number().min(-400).max(6000)

/** A boil check as it was done; what was not read is null. Times in s, temperatures in °C, weights in g. */
export const BoilCheckSchema = z.strictObject({
  id: Id,
  fire: z.strictObject({ id: Id, kind: z.enum(FIRE_KIND_IDS), mark: Id, watts: z.number().min(20).max(6000) }),
  pan: z.strictObject({
    id: Id,
    vessel: z.strictObject({
      innerDiameterMm: z.number().min(80).max(700),
      depthMm: z.number().min(20).max(500),
      massG: z.number().min(50).max(20000),
      material: z.enum(MATERIALS),
    }),
    massGuessed: z.boolean(),
  }),
  lid: z.boolean(),
  waterG: z.number().min(50).max(20000),
  fromC: z.number().min(0).max(85),
  boilS: z.number().min(10).max(5400),
  half: z.strictObject({ timeS: z.number().min(1).max(5400), tempC: z.number().min(0).max(105) }).nullable(),
  boiledOn: z.strictObject({ seconds: z.number().min(10).max(3600), lostG: z.number().min(0).max(20000) }).nullable(),
  atBoilC: z.number().min(70).max(115).nullable(),
  airC: z.number().min(-20).max(55),
  altitudeM: Altitude,
  when: Millis,
}) satisfies z.ZodType<BoilCheck>

/** What is asked of a syrup: its strength by one of three ways, and what follows from it. */
export const SyrupQuestionSchema = z.strictObject({
  /** Share of the sugar that is glucose and fructose: 0 for sugar, about 0.09 for jaggery. */
  invertShare: z.number().min(0).max(1),
  altitudeM: Altitude,
  strength: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('share'), share: z.number().min(0).max(1) }),
    z.strictObject({ by: z.literal('temperature'), tempC: z.number().min(20).max(200) }),
    z.strictObject({
      by: z.literal('weight'),
      sugarG: z.number().gt(0).max(50_000),
      syrupG: z.number().gt(0).max(200_000),
    }),
    /** How long it has boiled, on a power into the pan. */
    z.strictObject({
      by: z.literal('time'),
      sugarG: z.number().gt(0).max(50_000),
      waterG: z.number().gt(0).max(150_000),
      boiledS: z.number().min(0).max(20_000),
      powerW: z.number().min(20).max(6000),
    }),
  ]),
})
export type SyrupQuestion = z.infer<typeof SyrupQuestionSchema>

/** What is wished of a roast. */
export const FlameWishSchema = z.strictObject({
  step: z.enum(['aroma', ...COLOUR_STEPS]),
  patienceS: z.number().min(60).max(7200),
  risk: z.number().min(0.001).max(0.5),
}) satisfies z.ZodType<FlameWish>

/** A roast whose flames are to be planned. */
export const FlameQuestionSchema = z.strictObject({ plan: CookPlanSchema, wish: FlameWishSchema })
export interface FlameQuestion { readonly plan: CookPlan, readonly wish: FlameWish }

/** A finished cook of which is asked what it teaches. */
export const LearnQuestionSchema = z.strictObject({
  plan: CookPlanSchema,
  observations: z.array(AnyObservationSchema).max(2000),
})
export type LearnQuestion = z.infer<typeof LearnQuestionSchema>
