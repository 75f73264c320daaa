import type { ReadingUnit } from './reading'

/** Grams of an avoirdupois ounce and pound, NIST Handbook 44 (2024), appendix C. */
export const GRAMS: Readonly<Partial<Record<ReadingUnit, number>>> = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }

/**
 * A weight in grams.
 *
 * @param value as read
 * @param unit g, kg, oz or lb; missing means g
 * @returns g; NaN for a unit that is none of weight
 */
export function inGrams(value: number, unit: ReadingUnit = 'g'): number {
  return value * (GRAMS[unit] ?? Number.NaN)
}

/**
 * A temperature in degrees Celsius.
 *
 * @param value as read
 * @param unit C, F or K; missing means C
 * @returns °C; NaN for a unit that is none of temperature
 */
export function inCelsius(value: number, unit: ReadingUnit = 'C'): number {
  if (unit === 'F') return (value - 32) / 1.8
  if (unit === 'K') return value - 273.15
  return unit === 'C' ? value : Number.NaN
}
