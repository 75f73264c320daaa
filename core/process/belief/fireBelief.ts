import { itemAt } from '../../maths/table/itemAt'
import type { BeliefEntry } from '../../materials/belief/belief'
import type { Evidence } from '../../materials/belief/reading'
import { dayScatter } from '../../materials/belief/dayScatter'
import { robustWeights } from '../../materials/belief/robustWeights'
import { daySpread, driftVariance, repeatedVariances } from '../../materials/belief/steadiness'

/** What is believed of a fire at two places of its ladder of marks. */
export interface FireBelief {
  /** Natural logarithm of its power over what the mark stands for, at the mark asked for: mean and lasting variance. */
  readonly level: number
  readonly levelVariance: number
  /** How much the logarithm rises for each unit up the ladder: mean, variance, covariance with the level. */
  readonly slope: number
  readonly slopeVariance: number
  readonly covariance: number
  /** How much it strays from day to day in this household, one standard deviation of the logarithm. */
  readonly day: number
}

/** A check this short before the cook met the same day's flame, ms. */
const SAME_DAY_MS = 12 * 3_600_000

/**
 * What readings at any marks of a fire say of it at one mark on the day: a straight line along the ladder of marks,
 * normal belief, long tails (see `robustWeights`). Readings of other days carry the day's scatter, itself learned from
 * them; one of the same day knows today's.
 *
 * @param level first belief at the middle mark: one standard deviation of the logarithm, the day's scatter left out
 * @param slope first belief of the steepness, one standard deviation
 * @param readings of this fire; `ladder` missing counts as the middle mark
 * @param at ladder place of the mark asked for
 * @param nowMs now, ms since 1970, for the age of readings; undefined lets none age and none be of today
 * @returns the belief at that mark, today's scatter in it
 */
export function fireBelief(
  level: number,
  slope: number,
  readings: readonly Evidence[],
  at: number,
  nowMs?: number,
): FireBelief {
  const age = (one: Evidence): number => (nowMs === undefined || one.when === undefined ? Number.NaN : nowMs - one.when)
  const today = readings.filter(one => Math.abs(age(one)) < SAME_DAY_MS)
  const older = readings.filter(one => !today.includes(one))
  const drifts = older.map(one => (Number.isNaN(age(one)) ? 0 : driftVariance('mainFire', age(one))))
  const own = repeatedVariances(
    'mainFire',
    older.map(one => one.variance),
  ).map((variance, i) => variance + itemAt(drifts, i))
  const fit = (scatter: number): Line =>
    line(
      { c: 0, s: 0, vc: level ** 2, vs: slope ** 2, vcs: 0 },
      older,
      own.map(variance => variance + scatter * scatter),
    )
  const usual = fit(daySpread('mainFire'))
  const day = dayScatter(
    'mainFire',
    older.map((one, i) => ({
      off: one.value - usual.c - usual.s * (one.ladder ?? 0),
      variance: one.variance + itemAt(drifts, i),
    })),
  )
  const lasting = fit(day)
  const now = line(
    { ...lasting, vc: lasting.vc + day * day },
    today,
    today.map(one => one.variance),
  )
  return {
    level: now.c + now.s * at,
    levelVariance: now.vc + 2 * at * now.vcs + at * at * now.vs,
    slope: now.s,
    slopeVariance: now.vs,
    covariance: now.vcs + at * now.vs,
    day,
  }
}

/** Height and slope of a line along the ladder of marks, with their variances and covariance. */
interface Line {
  readonly c: number
  readonly s: number
  readonly vc: number
  readonly vs: number
  readonly vcs: number
}

/** A normal belief about a line, moved by readings of it. */
function line(prior: Line, readings: readonly Evidence[], variances: readonly number[]): Line {
  const first = prior.vc * prior.vs - prior.vcs * prior.vcs
  const fit = (weights: readonly number[]): Line => {
    let [p11, p12, p22] = [prior.vs / first, -prior.vcs / first, prior.vc / first]
    let [b1, b2] = [p11 * prior.c + p12 * prior.s, p12 * prior.c + p22 * prior.s]
    readings.forEach((one, i) => {
      const u = one.ladder ?? 0
      const w = itemAt(weights, i) / itemAt(variances, i)
      p11 += w
      p12 += w * u
      p22 += w * u * u
      b1 += w * one.value
      b2 += w * u * one.value
    })
    const det = p11 * p22 - p12 * p12
    return {
      c: (p22 * b1 - p12 * b2) / det,
      s: (p11 * b2 - p12 * b1) / det,
      vc: p22 / det,
      vs: p11 / det,
      vcs: -p12 / det,
    }
  }
  if (readings.length === 0) return prior
  return fit(robustWeights((weights) => {
    const { c, s, vc, vs, vcs } = fit(weights)
    return readings.map((one, i) => {
      const u = one.ladder ?? 0
      return (one.value - c - s * u) / Math.sqrt(itemAt(variances, i) + vc + 2 * u * vcs + u * u * vs)
    })
  }, readings.length))
}

/**
 * A fire's belief as entries of a plan: its level at the mark asked for, and the steepness of the ladder that follows
 * it.
 *
 * @param entry first belief of the level
 * @param ladder first belief of the steepness
 * @param belief from `fireBelief`
 * @param restsOn batches and checks behind it
 * @returns both entries
 */
export function fireEntries(
  entry: BeliefEntry,
  ladder: BeliefEntry,
  belief: FireBelief,
  restsOn: readonly string[],
): { readonly level: BeliefEntry, readonly ladder: BeliefEntry } {
  const spread = Math.sqrt(belief.levelVariance)
  const follows = belief.covariance / spread
  return {
    level: {
      ...entry,
      median: Math.exp(belief.level),
      spread,
      basis: restsOn.length > 0 ? 'batches' : entry.basis,
      restsOn,
    },
    ladder: {
      ...ladder,
      median: belief.slope,
      spread: Math.sqrt(Math.max(1e-6, belief.slopeVariance - follows * follows)),
      follows: [{ name: entry.name, much: follows }],
      basis: restsOn.length > 0 ? 'batches' : ladder.basis,
      restsOn,
    },
  }
}
