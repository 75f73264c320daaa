/** The hearth's clock: every part of the product asks this one. */
export interface HearthClock {
  /** ms since 1970 */
  now(): number
  /** How many of its seconds pass in one real one. */
  readonly rate: number
}

/**
 * The clock that the environment asks for: `HEARTH_CLOCK_RATE` (0.01 to 100 000, default 1) and, for another rate than
 * one, `HEARTH_CLOCK_ANCHOR`, the real moment in ms at which both clocks agree, so that a restarted server goes on.
 *
 * @param env the environment
 * @param real the real clock
 * @returns the clock
 */
export function clockFrom(env: Readonly<Record<string, string | undefined>>, real: () => number = Date.now): HearthClock {
  const wanted = Number(env.HEARTH_CLOCK_RATE ?? 1)
  const rate = wanted >= 0.01 && wanted <= 100_000 ? wanted : 1
  if (rate === 1) return { now: real, rate }
  const given = Number(env.HEARTH_CLOCK_ANCHOR)
  const anchor = Number.isFinite(given) && given > 0 ? given : real()
  return { now: () => Math.round(anchor + (real() - anchor) * rate), rate }
}
