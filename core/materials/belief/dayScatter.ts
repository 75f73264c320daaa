import { itemAt } from '../../maths/table/itemAt'
import { daySpread } from './steadiness'

/** A reading of a lasting number: how far it lies from the fitted value, and the variance of the reading itself. */
export interface Stray { readonly off: number, readonly variance: number }

/**
 * How sure the usual scatter is before a household's own readings, one standard deviation of its logarithm (estimate).
 */
const UNSURE = 0.45
/** Factors on the usual scatter that are weighed, evenly in the logarithm. */
const FACTORS = Array.from({ length: 25 }, (_, i) => Math.exp(-1.2 + 0.1 * i))
/** A reading this far out says that something else was wrong with it, in its own standard deviations (estimate). */
const FAR = 2.5
/** Fewer readings than this say nothing of a scatter (estimate). */
const FEW = 3

/**
 * How much a lasting number of this household strays from one day to the next: the usual scatter, moved by how much its
 * own readings scatter beyond their own noise (Bayes' rule over a factor on the scatter, its middle taken).
 *
 * @param of name of the number in a plan's belief
 * @param readings of it, in the belief's own scale, about their fitted value
 * @returns one standard deviation from day to day, in the belief's own scale; the usual one for fewer than three
 *   readings
 */
export function dayScatter(of: string, readings: readonly Stray[]): number {
  const usual = daySpread(of)
  if (readings.length < FEW) return usual
  const logs = FACTORS.map((factor) => {
    const day = (factor * usual) ** 2
    const prior = -0.5 * (Math.log(factor) / UNSURE) ** 2
    // One degree of freedom went into the fitted value.
    const free = (readings.length - 1) / readings.length
    return readings.reduce((sum, { off, variance }) => {
      const all = variance + day
      return sum - 0.5 * free * (Math.log(all) + Math.min(FAR * FAR, off * off / (all * free)))
    }, prior)
  })
  const most = Math.max(...logs)
  const weights = logs.map(log => Math.exp(log - most))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return usual * Math.exp(weights.reduce((sum, weight, i) => sum + weight * Math.log(itemAt(FACTORS, i)), 0) / total)
}
