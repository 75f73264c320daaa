import { z } from 'zod'
import { MATERIALS } from '../core/vessel/vessel'
import { Id, Name } from './ids'

/** Where a number comes from: every number of the kitchen tells. */
export const OriginSchema = z.enum(['guess', 'entered', 'weighed', 'learned'])
export type Origin = z.infer<typeof OriginSchema>

/** A cup or spoon: what the household measures with. */
export const MeasureSchema = z.strictObject({
  id: Id,
  name: Name,
  kind: z.enum(['cup', 'spoon']),
  volumeMl: z.number().min(1).max(5000),
  origin: OriginSchema,
  /** Drawn size, mm. */
  topMm: z.number().min(10).max(400),
  bottomMm: z.number().min(8).max(400),
  heightMm: z.number().min(5).max(400),
})
export type Measure = z.infer<typeof MeasureSchema>

/** A pan or pot. */
export const PanSchema = z.strictObject({
  id: Id,
  name: Name,
  kind: z.enum(['pan', 'pot']),
  material: z.enum(MATERIALS),
  innerDiameterMm: z.number().min(80).max(700),
  depthMm: z.number().min(20).max(500),
  massG: z.number().min(50).max(20000),
  massOrigin: OriginSchema,
  coated: z.boolean(),
})
export type Pan = z.infer<typeof PanSchema>

/** A fire with the household's own marks, rising in power. */
export const FireSchema = z.strictObject({
  id: Id,
  name: Name,
  marks: z.array(z.strictObject({ id: Id, label: z.string().trim().min(1).max(20), watts: z.number().min(20).max(6000) }))
    .min(1).max(12)
    .refine(marks => marks.every((mark, i) => i === 0 || mark.watts > marks[i - 1]!.watts), { message: 'marks-rise' }),
  origin: OriginSchema,
})
export type Fire = z.infer<typeof FireSchema>

/** Shelves of the kitchen by name. */
export const SHELVES = { measures: MeasureSchema, pans: PanSchema, fires: FireSchema } as const
export type ShelfName = keyof typeof SHELVES
export const ShelfNameSchema = z.enum(['measures', 'pans', 'fires'])

/** Everything on the shelves. */
export const KitchenSchema = z.strictObject({
  measures: z.array(MeasureSchema), pans: z.array(PanSchema), fires: z.array(FireSchema),
})
export type Kitchen = z.infer<typeof KitchenSchema>
