/**
 * A number as it is typed: a comma is taken for a point.
 *
 * @param text what was typed
 * @returns the number; NaN for anything else, and for nothing
 */
export function typedNumber(text: string): number {
  return Number(text.trim().replace(',', '.') || Number.NaN)
}
