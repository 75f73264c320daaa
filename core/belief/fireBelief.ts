import type { BeliefEntry } from './belief'
import type { Evidence } from './evidence'
import { robustWeights } from './robustWeights'
import { daySpread, driftVariance } from './steadiness'

/** What is believed of a fire at two places of its ladder of marks. */
export interface FireBelief {
  /** Natural logarithm of its power over what the mark stands for, at the mark asked for: mean and lasting variance. */
  readonly level: number
  readonly levelVariance: number
  /** How much the logarithm rises for each unit up the ladder: mean, variance, covariance with the level. */
  readonly slope: number
  readonly slopeVariance: number
  readonly covariance: number
}

/**
 * What readings at any marks of a fire say of it at one mark: a straight line along the ladder of marks, normal belief,
 * long tails (see `robustWeights`).
 *
 * @param level first belief at the middle mark: one standard deviation of the logarithm, the day's scatter left out
 * @param slope first belief of the steepness, one standard deviation
 * @param readings of this fire; `ladder` missing counts as the middle mark
 * @param at ladder place of the mark asked for
 * @param nowMs now, ms since 1970, for the age of readings; undefined lets none age
 * @returns the belief at that mark
 */
export function fireBelief(level: number, slope: number, readings: readonly Evidence[], at: number, nowMs?: number): FireBelief {
  const day = daySpread('mainFire')
  const variances = readings.map(one => one.variance + day * day + (nowMs === undefined || one.when === undefined ? 0 : driftVariance('mainFire', nowMs - one.when)))
  const fit = (weights: readonly number[]) => {
    let [p11, p12, p22, b1, b2] = [1 / level ** 2, 0, 1 / slope ** 2, 0, 0]
    readings.forEach((one, i) => {
      const u = one.ladder ?? 0
      const w = weights[i] / variances[i]
      p11 += w
      p12 += w * u
      p22 += w * u * u
      b1 += w * one.value
      b2 += w * u * one.value
    })
    const det = p11 * p22 - p12 * p12
    return { c: (p22 * b1 - p12 * b2) / det, s: (p11 * b2 - p12 * b1) / det, vc: p22 / det, vs: p11 / det, vcs: -p12 / det }
  }
  const weights = robustWeights((now) => {
    const { c, s, vc, vs, vcs } = fit(now)
    return readings.map((one, i) => {
      const u = one.ladder ?? 0
      return (one.value - c - s * u) / Math.sqrt(variances[i] + vc + 2 * u * vcs + u * u * vs)
    })
  }, readings.length)
  const { c, s, vc, vs, vcs } = fit(weights)
  return { level: c + s * at, levelVariance: vc + 2 * at * vcs + at * at * vs, slope: s, slopeVariance: vs, covariance: vcs + at * vs }
}

/**
 * A fire's belief as entries of a plan: its level at the mark asked for, and the steepness of the ladder that follows it.
 *
 * @param entry first belief of the level
 * @param ladder first belief of the steepness
 * @param belief from `fireBelief`
 * @param restsOn batches and checks behind it
 * @returns both entries; the day's scatter is in the level
 */
export function fireEntries(entry: BeliefEntry, ladder: BeliefEntry, belief: FireBelief, restsOn: readonly string[]): { readonly level: BeliefEntry, readonly ladder: BeliefEntry } {
  const day = daySpread(entry.name)
  const spread = Math.sqrt(belief.levelVariance + day * day)
  const follows = belief.covariance / spread
  return {
    level: { ...entry, median: Math.exp(belief.level), spread, basis: restsOn.length > 0 ? 'batches' : entry.basis, restsOn },
    ladder: {
      ...ladder, median: belief.slope, spread: Math.sqrt(Math.max(1e-6, belief.slopeVariance - follows * follows)),
      follows: [{ name: entry.name, much: follows }], basis: restsOn.length > 0 ? 'batches' : ladder.basis, restsOn,
    },
  }
}
