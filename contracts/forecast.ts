import { z } from 'zod'
import type { Forecast, Reweighed } from '../core/record/plan/forecast'
import { SIGN_IDS } from '../core/formulation/signs/signIds'
import { Id } from './ids'
import { LabSchema } from './ingredient'

const Seconds = z.number().min(0).max(172_800)
const WindowSchema = z.strictObject({ early: z.number(), middle: z.number(), late: z.number() })

/** A forecast; see docs/formats.md. Times in s since the start of the cook, weights in g. */
export const ForecastSchema = z.strictObject({
  modelVersion: z.string().max(40),
  basis: z.enum(['physics', 'usual-minutes']).optional(),
  nowS: Seconds,
  members: z.number().int().min(1),
  effective: z.number().min(0),
  signs: z.partialRecord(z.enum(SIGN_IDS), WindowSchema),
  stages: z.array(WindowSchema).max(32),
  sides: z
    .array(
      z.strictObject({
        vessel: Id,
        meets: z.number().int().min(0),
        needs: WindowSchema,
        lightS: z.number().nullable(),
        boils: WindowSchema.nullable(),
        now: z.strictObject({ tempC: z.number(), contentG: z.number(), heldG: z.number() }).optional(),
      }),
    )
    .max(6),
  finishedG: WindowSchema,
  turnDownS: z.number().nullable(),
  leftAloneS: z.number().nullable(),
  points: z.array(z.strictObject({
    timeS: z.number(), stage: z.number().int(), tempC: z.number(), panC: z.number(), colour: LabSchema,
    waterG: z.number(), heldG: z.number(), contentG: z.number(), volumeMl: z.number(),
    aroma: z.number().optional(), fatOutG: z.number().optional(), stiffness: z.number().optional(),
  })).max(5000),
  bands: z
    .array(
      z.strictObject({
        timeS: z.number(),
        tempC: WindowSchema,
        contentG: WindowSchema,
        volumeMl: WindowSchema,
        freeG: WindowSchema,
        boundG: WindowSchema,
        fatOutG: WindowSchema,
        stiffness: WindowSchema,
        aroma: WindowSchema,
        colour: z.strictObject({ dark: LabSchema, middle: LabSchema, light: LabSchema }),
      }),
    )
    .max(200)
    .optional(),
  restsOn: z.strictObject({
    taps: z.number().int(), readings: z.number().int(), batches: z.number().int(), guessedVessels: z.array(z.string()),
  }),
  doubts: z.strictObject({
    asks: z.strictObject({ stage: Id.nullable(), atS: z.number(), sign: z.enum(SIGN_IDS).nullable() }).nullable(),
    surprise: z
      .strictObject({
        mark: z.string().max(80),
        sign: z.enum(SIGN_IDS),
        faster: z.boolean(),
        times: z.number(),
        flame: Id.nullable(),
        thought: Id.nullable(),
      })
      .nullable(),
  }).optional(),
  panNow: z.strictObject({ contentG: WindowSchema, tempC: WindowSchema }).optional(),
}) satisfies z.ZodType<Forecast>

/** What a mark moves at once. */
export const ReweighedSchema = ForecastSchema.pick({
  nowS: true,
  effective: true,
  signs: true,
  stages: true,
  sides: true,
  restsOn: true,
}) satisfies z.ZodType<Reweighed>
