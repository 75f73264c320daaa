import { Z90 } from './normalCdf'
import type { Uniform } from './seededRandom'

/** A length of time by three numbers, in one unit: each draw says which they are. */
export type Times = readonly [low: number, middle: number, high: number]

/**
 * Draws from a triangular distribution, by the inverse of its distribution function.
 *
 * @param times least, likeliest and most
 * @param uniform even draws in [0, 1)
 * @returns a draw in the unit of the times; the least where there is no span
 */
export function triangular([low, mode, high]: Times, uniform: Uniform): number {
  if (high <= low) return low
  const u = uniform()
  const cut = (mode - low) / (high - low)
  return u < cut
    ? low + Math.sqrt(u * (high - low) * (mode - low))
    : high - Math.sqrt((1 - u) * (high - low) * (high - mode))
}

/**
 * Draws a log-normal time, each half with its own width (Box and Muller, 1958).
 *
 * @param times 10th, 50th and 90th percentile, above zero
 * @param uniform even draws in [0, 1)
 * @returns a draw in the unit of the times
 */
export function logNormal([p10, p50, p90]: Times, uniform: Uniform): number {
  const normal = Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform())
  return p50 * Math.exp(normal / Z90 * Math.log(normal < 0 ? p50 / p10 : p90 / p50))
}
