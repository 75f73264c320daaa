import type { BeliefEntry } from './belief'
import type { Evidence } from './evidence'
import { robustWeights } from './robustWeights'
import { daySpread, driftVariance } from './steadiness'

/**
 * A belief moved by readings of it: normal in the belief's own scale, long tails (see `robustWeights`); the day's own
 * scatter stays in the spread, and old readings count less.
 *
 * @param entry the first belief
 * @param readings of this number, any order
 * @param nowMs now, ms since 1970; undefined lets none age
 * @returns the entry; itself without readings
 */
export function combineReadings(entry: BeliefEntry, readings: readonly Evidence[], nowMs?: number): BeliefEntry {
  if (readings.length === 0) return entry
  const day = daySpread(entry.name)
  const factor = entry.kind === 'factor'
  const first = factor ? Math.log(entry.median) : entry.median
  const lasting = Math.max((0.3 * entry.spread) ** 2, entry.spread ** 2 - day ** 2)
  const variances = readings.map(one => one.variance + day * day + (nowMs === undefined || one.when === undefined ? 0 : driftVariance(entry.name, nowMs - one.when)))
  const fit = (weights: readonly number[]) => {
    const precision = readings.reduce((sum, _, i) => sum + weights[i] / variances[i], 1 / lasting)
    const mean = readings.reduce((sum, one, i) => sum + weights[i] / variances[i] * one.value, first / lasting) / precision
    return { mean, variance: 1 / precision }
  }
  const weights = robustWeights((now) => {
    const { mean, variance } = fit(now)
    return readings.map((one, i) => (one.value - mean) / Math.sqrt(variances[i] + variance))
  }, readings.length)
  const { mean, variance } = fit(weights)
  return {
    ...entry,
    median: factor ? Math.exp(mean) : mean,
    spread: Math.min(entry.spread, Math.sqrt(variance + day * day)),
    basis: 'batches',
    restsOn: readings.map(reading => reading.batch),
  }
}
