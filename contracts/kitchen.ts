import { z } from 'zod'
import type { Correction } from '../core/materials/composition/correction'
import { FIRE_KIND_IDS } from '../core/materials/fire/fireKinds'
import type { StoreItem } from '../core/formulation/store/shopping'
import { isZone } from '../core/maths/time/houseDay'
import { MATERIALS } from '../core/materials/vessel/vessel'
import { Id, Millis, Name } from './ids'
import { IngredientSchema } from './ingredient'

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
  kind: z.enum(['pan', 'pot', 'pressure']),
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
  marks: z
    .array(z.strictObject({ id: Id, label: z.string().trim().min(1).max(20), watts: z.number().min(20).max(6000) }))
    .min(1)
    .max(12)
    .refine(marks => marks.every((mark, i) => i === 0 || mark.watts > marks[i - 1]!.watts), { message: 'marks-rise' }),
  origin: OriginSchema,
  kind: z.enum(FIRE_KIND_IDS).optional(),
})
export type Fire = z.infer<typeof FireSchema>

/** What the household knows better than the table of one ingredient: weighed densities, yields, sizes, and prices. */
export const CorrectionSchema = z.strictObject({
  id: Id,
  bulkDensity: z.number().min(0.1).max(2).optional(),
  weighings: z
    .array(
      z
        .strictObject({ at: Millis, volumeMl: z.number().min(1).max(10_000), massG: z.number().min(1).max(20_000) })
        .refine(one => one.massG >= 0.1 * one.volumeMl && one.massG <= 2 * one.volumeMl, {
          message: 'no-such-density',
        }),
    )
    .max(60)
    .readonly()
    .optional(),
  pieceG: z.number().min(0.001).max(10000).optional(),
  prepared: z.number().min(0.1).max(1).optional(),
  soakGain: z.number().min(0).max(2).optional(),
  ground: z.number().min(0.5).max(1).optional(),
  pricePerKg: z.number().gt(0).max(1_000_000).optional(),
}) satisfies z.ZodType<Correction>

const Day = z.number().int().min(0).max(90_000)

/** Something in the house; days are counted from 1970-01-01. */
export const StoreItemSchema = z.strictObject({
  id: Id,
  ingredient: Id,
  massG: z.number().min(0).max(200_000),
  gotOn: Day,
  openedOn: Day.nullable(),
  useBy: Day.nullable(),
}) satisfies z.ZodType<StoreItem>

/** A tray or plate, mm. */
export const TraySchema = z.strictObject({
  id: Id,
  name: Name,
  shape: z.enum(['round', 'rectangle']),
  widthMm: z.number().min(50).max(1000),
  lengthMm: z.number().min(50).max(1000),
  depthMm: z.number().min(5).max(200),
})
export type Tray = z.infer<typeof TraySchema>

/** How this house reads its numbers: one switch for all screens. */
export const SettingsSchema = z.strictObject({
  id: z.literal('house'), units: z.enum(['metric', 'imperial']), currency: z.string().trim().max(4),
  /** Height of the house above the sea, m; missing is not known. */
  altitudeM: z.number().min(-400).max(6000).optional(),
  /** What the kitchen thermometer reads too much, K; missing is not known. */
  thermometerK: z.number().min(-15).max(15).optional(),
  /** How warm the kitchen is on a cooking day, °C; missing is not known. */
  roomC: z.number().min(8).max(50).optional(),
  /** Time zone of the house (IANA); missing is that of the device. */
  zone: z.string().max(64).refine(isZone, { message: 'unknown-zone' }).optional(),
  /** How times are written: 24 hours, or twice 12. */
  clock: z.enum(['24', '12']).optional(),
})
export type Settings = z.infer<typeof SettingsSchema>

/** Shelves of the kitchen by name. */
export const SHELVES = {
  measures: MeasureSchema,
  pans: PanSchema,
  fires: FireSchema,
  trays: TraySchema,
  corrections: CorrectionSchema,
  store: StoreItemSchema,
  settings: SettingsSchema,
  ingredients: IngredientSchema,
} as const
export type ShelfName = keyof typeof SHELVES
export const SHELF_NAMES = [
  'measures',
  'pans',
  'fires',
  'trays',
  'corrections',
  'store',
  'settings',
  'ingredients',
] as const satisfies readonly ShelfName[]
export const ShelfNameSchema = z.enum(SHELF_NAMES)

/** Everything on the shelves. */
export const KitchenSchema = z.strictObject({
  measures: z.array(MeasureSchema),
  pans: z.array(PanSchema),
  fires: z.array(FireSchema),
  trays: z.array(TraySchema).default([]),
  corrections: z.array(CorrectionSchema).default([]),
  store: z.array(StoreItemSchema).default([]),
  settings: z.array(SettingsSchema).default([]),
  /** Ingredients of the household's own. */
  ingredients: z.array(IngredientSchema).default([]),
})
export type Kitchen = z.infer<typeof KitchenSchema>
