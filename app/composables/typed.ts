import { useSettings } from '../stores/settings'
import { G_PER_OZ, gramsOfHouse } from './format'

/**
 * A number as it is typed: a comma is taken for a point.
 *
 * @param text what was typed
 * @returns the number; NaN for anything else, and for nothing
 */
export function typedNumber(text: string): number {
  return Number(text.trim().replace(',', '.') || Number.NaN)
}

/**
 * What weights are typed in.
 *
 * @returns `g`, or `oz`
 */
export function weightUnit(): string {
  return useSettings().imperial ? 'oz' : 'g'
}

/**
 * What temperatures are typed in.
 *
 * @returns `°C`, or `°F`
 */
export function degreesUnit(): string {
  return useSettings().imperial ? '°F' : '°C'
}

/**
 * A weight as it is typed in the units of the house.
 *
 * @param text what was typed
 * @returns g, to a tenth or finer below 10 g; NaN where it is no number
 */
export function typedGrams(text: string): number {
  const value = typedNumber(text)
  return useSettings().imperial ? round(value * G_PER_OZ) : value
}

/**
 * A temperature as it is typed in the units of the house.
 *
 * @param text what was typed
 * @returns °C; NaN where it is no number
 */
export function typedCelsius(text: string): number {
  const value = typedNumber(text)
  return useSettings().imperial ? Math.round((value - 32) / 1.8 * 10) / 10 : value
}

/**
 * A weight as it stands in a field, to be typed over.
 *
 * @param grams g
 * @returns the bare number in the units of the house
 */
export function gramsToType(grams: number): string {
  return String(useSettings().imperial ? Math.round(gramsOfHouse(grams) * 10) / 10 : Math.round(grams))
}

function round(grams: number): number {
  const places = grams < 10 ? 1000 : 10
  return Math.round(grams * places) / places
}
