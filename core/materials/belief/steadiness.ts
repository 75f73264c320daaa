/**
 * How much the lasting numbers stray from one day to the next, in the belief's own scale (estimates; fires as measured,
 * 12 %).
 */
const DAY_SPREAD: Readonly<Record<string, number>> = {
  mainFire: 0.12,
  otherFire: 0.12,
  browningRate: 0.08,
  aromaDose: 0.1,
  uptake: 0.1,
  softening: 0.15,
  kept: 0.012,
  wetPace: 0.06,
  roastPace: 0.06,
  pourTime: 0.2,
  heatLoss: 0.08,
  surface: 0.1,
  density: 0.03,
}
/**
 * How far they drift in a season, ninety days: another bag of flour, another crop, a burner that clogs (estimates).
 */
const SEASON_DRIFT: Readonly<Record<string, number>> = {
  browningRate: 0.12,
  aromaDose: 0.12,
  uptake: 0.1,
  softening: 0.15,
  mainFire: 0.06,
  otherFire: 0.06,
  wetPace: 0.06,
  kept: 0.01,
  density: 0.03,
}
/** How far one is off after something was changed on purpose and said so: a new bag, a cleaned burner (estimates). */
const CHANGE_SPREAD: Readonly<Record<string, number>> = {
  browningRate: 0.22,
  aromaDose: 0.22,
  mainFire: 0.2,
  otherFire: 0.2,
  kept: 0.03,
}
/**
 * Share of a batch's own uncertainty about a number that is the same in every batch: what cannot be told apart is
 * misread in the same way each time (estimate); of a number that is weighed by itself, nothing.
 */
const COMMON_SHARE = 0.25
const BY_THEMSELVES: readonly string[] = ['kept', 'density']
const SEASON_MS = 90 * 86_400_000
const USUAL = { day: 0.1, drift: 0.05, change: 0.2 }

/**
 * Scatter of a number from day to day.
 *
 * @param of its name in a plan's belief
 * @returns one standard deviation, in the belief's own scale
 */
export function daySpread(of: string): number {
  return DAY_SPREAD[of] ?? USUAL.day
}

/**
 * Variance that a reading gains by its age.
 *
 * @param of name of the number
 * @param ageMs age of the reading, ms; nothing is gained below zero
 * @returns variance, in the belief's own scale
 */
export function driftVariance(of: string, ageMs: number): number {
  const drift = SEASON_DRIFT[of] ?? USUAL.drift
  return drift * drift * Math.max(0, ageMs) / SEASON_MS
}

/**
 * Variance that a reading gains when something was changed after it.
 *
 * @param of name of the number
 * @returns variance, in the belief's own scale
 */
export function changeVariance(of: string): number {
  return (CHANGE_SPREAD[of] ?? USUAL.change) ** 2
}

/**
 * Variances of readings of one number by how much they repeat one another: n alike readings together leave the common
 * share of the variance of one. A sharper reading hardly repeats blunter ones.
 *
 * @param of name of the number
 * @param own each reading's own variance, in the belief's own scale
 * @returns one variance for each
 */
export function repeatedVariances(of: string, own: readonly number[]): number[] {
  const common = BY_THEMSELVES.includes(of) ? 0 : COMMON_SHARE
  return own.map((mine) => {
    const alike = own.reduce((sum, other) => sum + Math.min(1, mine / Math.max(1e-12, other)), 0)
    return mine * (1 + common * Math.max(0, alike - 1))
  })
}

/**
 * How steady each lasting number is, as it is shown: standard deviations in the belief's own scale; all are estimates
 * but the fires' day.
 */
export const STEADINESS: readonly {
  readonly of: string
  readonly day: number
  readonly season: number
  readonly change: number
}[] = Object.keys(DAY_SPREAD).map(of => ({
  of,
  day: daySpread(of),
  season: SEASON_DRIFT[of] ?? USUAL.drift,
  change: CHANGE_SPREAD[of] ?? USUAL.change,
}))
