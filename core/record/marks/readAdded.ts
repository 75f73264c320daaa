import type { Added } from './liveCook'
import type { Composition } from '../../materials/composition/composition'

/** More than this of one thing does not go into a household's pan, g. */
export const MOST_ADDED_G = 20_000
const MOST_THINGS = 12
const PARTS = ['water', 'solids', 'fat', 'sugar', 'nuts'] as const

/**
 * Reads what a mark says has gone in beside the plan.
 *
 * @param value anything
 * @returns the additions; undefined where it is not a list of ingredient, weight above 0 to 20 000 g, and composition
 */
export function readAdded(value: unknown): Added[] | undefined {
  if (!Array.isArray(value) || value.length > MOST_THINGS) return undefined
  const read = value.map(readOne)
  return read.every((one): one is Added => one !== undefined) ? read : undefined
}

function readOne(value: unknown): Added | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const { ingredient, massG, composition } = value as Record<string, unknown>
  const parts = readComposition(composition)
  const fits = typeof ingredient === 'string' && typeof massG === 'number' && massG > 0 && massG <= MOST_ADDED_G
  return fits && parts ? { ingredient, massG, composition: parts } : undefined
}

function readComposition(value: unknown): Composition | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const given = value as Record<string, unknown>
  const share = (name: string): number => (typeof given[name] === 'number' ? given[name] : Number.NaN)
  const shares = PARTS.map(share)
  const sum = shares.reduce((all, one) => all + one, 0)
  if (!shares.every(one => one >= 0 && one <= 1) || !(Math.abs(sum - 1) < 0.02)) return undefined
  const invert = given.invert === undefined ? 0 : share('invert')
  if (!(invert >= 0 && invert <= share('sugar') + 1e-9)) return undefined
  const [water, solids, fat, sugar, nuts] = shares as [number, number, number, number, number]
  return { water, solids, fat, sugar, nuts, ...(invert > 0 ? { invert } : {}) }
}
