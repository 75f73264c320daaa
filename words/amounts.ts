import type { Ingredient } from '../core/materials/composition/ingredient'

/** More of a kind than this for each gram of base is a slip of the finger (estimates). */
const MOST: Readonly<Partial<Record<Ingredient['kind'], number>>> = { spice: 0.1, steeped: 0.01, fat: 5, nuts: 3 }

/**
 * Whether an amount can only be a slip, and what to do.
 *
 * @param massG of the ingredient, g
 * @param row of the ingredient table
 * @param baseG weight of the base, g
 * @returns a sentence, or null where it is believable
 */
export function tooMuchText(massG: number, row: Pick<Ingredient, 'kind' | 'name'>, baseG: number): string | null {
  const most = MOST[row.kind]
  if (most === undefined || massG <= most * baseG) return null
  const least = Math.round(most * baseG * 10) / 10
  return `${Math.round(massG)} g of ${row.name.toLowerCase()} to ${Math.round(baseG)} g of the base would drown everything else: ${least} g is the most that is taken. Look at the unit. Nothing was changed.`
}
