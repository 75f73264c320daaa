import { itemAt } from '../../maths/table/itemAt'
import type { BeliefEntry } from './belief'
import type { Evidence } from './reading'
import { dayScatter } from './dayScatter'
import { robustWeights } from './robustWeights'
import { daySpread, driftVariance, repeatedVariances } from './steadiness'

/**
 * A belief moved by readings of it: normal in the belief's own scale, long tails (see `robustWeights`); the day's own
 * scatter, learned from the readings too, stays in the spread, and old readings count less.
 *
 * @param entry the first belief
 * @param readings of this number, any order
 * @param nowMs now, ms since 1970; undefined lets none age
 * @returns the entry; itself without readings
 */
export function combineReadings(entry: BeliefEntry, readings: readonly Evidence[], nowMs?: number): BeliefEntry {
  if (readings.length === 0) return entry
  const { mean, variance, day } = fitReadings(entry, readings, nowMs)
  return {
    ...entry,
    median: entry.kind === 'factor' ? Math.exp(mean) : mean,
    spread: Math.min(entry.spread, Math.sqrt(variance + day * day)),
    basis: 'batches',
    restsOn: readings.map(reading => reading.batch),
  }
}

/** A lasting number as its readings have it, in the belief's own scale. */
export interface FittedReadings {
  readonly mean: number
  readonly variance: number
  /** How much it strays from day to day in this household, one standard deviation. */
  readonly day: number
}

/**
 * The lasting middle of a number and its scatter from day to day.
 *
 * @param entry the first belief
 * @param readings of this number, any order
 * @param nowMs now, ms since 1970; undefined lets none age
 * @returns mean, its variance, and the day's scatter
 */
export function fitReadings(entry: BeliefEntry, readings: readonly Evidence[], nowMs?: number): FittedReadings {
  const usual = daySpread(entry.name)
  const first = entry.kind === 'factor' ? Math.log(entry.median) : entry.median
  const lasting = Math.max((0.3 * entry.spread) ** 2, entry.spread ** 2 - usual ** 2)
  const drifts = readings.map(one =>
    nowMs === undefined || one.when === undefined ? 0 : driftVariance(entry.name, nowMs - one.when),
  )
  const own = repeatedVariances(
    entry.name,
    readings.map(one => one.variance),
  ).map((variance, i) => variance + itemAt(drifts, i))
  const fit = (day: number): FittedReadings => {
    const variances = own.map(variance => variance + day * day)
    const weighed = (weights: readonly number[]) => {
      const precision = readings.reduce((sum, _, i) => sum + itemAt(weights, i) / itemAt(variances, i), 1 / lasting)
      const mean =
        readings.reduce((sum, one, i) => sum + (itemAt(weights, i) / itemAt(variances, i)) * one.value, first / lasting)
        / precision
      return { mean, variance: 1 / precision, day }
    }
    return weighed(robustWeights((now) => {
      const { mean, variance } = weighed(now)
      return readings.map((one, i) => (one.value - mean) / Math.sqrt(itemAt(variances, i) + variance))
    }, readings.length))
  }
  const { mean } = fit(usual)
  const day = dayScatter(
    entry.name,
    readings.map((one, i) => ({ off: one.value - mean, variance: one.variance + itemAt(drifts, i) })),
  )
  return fit(day)
}
