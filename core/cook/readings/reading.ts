import type { Lab } from '../../materials/colour/lab'

/** What a device can be. */
export const DEVICE_KINDS = ['scale', 'thermometer', 'camera'] as const
export type DeviceKind = (typeof DEVICE_KINDS)[number]

/** Units a device may read in; a reading without one is taken in the kind's own. */
export const READING_UNITS = ['g', 'kg', 'oz', 'lb', 'C', 'F', 'K', 'lab'] as const
export type ReadingUnit = (typeof READING_UNITS)[number]

/** One raw reading, on one clock. */
export interface RawReading {
  /** When it was read, ms since 1970 on the hearth's clock. */
  readonly atMs: number
  /** A number, or a colour of a camera; null where the device lost it. */
  readonly value: number | Lab | null
  readonly unit?: ReadingUnit | undefined
}

/** What the forecast expects of a vessel now, so that a reading can be told apart: g and °C, 10 and 90 in 100. */
export interface Expected {
  readonly tareG: number
  readonly contentG: { readonly early: number, readonly late: number }
  readonly tempC: { readonly early: number, readonly late: number }
}

/** A reading that has settled and means something. */
export type Settled =
  | {
      readonly kind: 'weight'
      readonly atMs: number
      readonly grossG: number
      readonly how: 'as-read' | 'pan-was-tared' | 'offset-taken-off' | 'ounces'
    }
  | { readonly kind: 'temperature', readonly atMs: number, readonly tempC: number }
  | { readonly kind: 'colour', readonly atMs: number, readonly lab: Lab }
  /** It fits nothing: a person has to say what it is. */
  | { readonly kind: 'unsure', readonly atMs: number, readonly readG: number }
