import type { Window } from './window'

/** 10th and 90th percentile of a normal spread stand this many standard deviations from its middle. */
const TENTH = 1.2816

/**
 * The 10–90 % window of a number that scatters normally about its middle.
 *
 * @param middle of it
 * @param spread one standard deviation, in the same unit
 * @returns the window
 */
export function spreadWindow(middle: number, spread: number): Window {
  return { early: middle - TENTH * spread, middle, late: middle + TENTH * spread }
}

/**
 * The 10–90 % window of a number whose logarithm scatters normally.
 *
 * @param median above zero
 * @param spread one standard deviation of the natural logarithm
 * @returns the window, in the unit of the median
 */
export function factorWindow(median: number, spread: number): Window {
  return { early: median * Math.exp(-TENTH * spread), middle: median, late: median * Math.exp(TENTH * spread) }
}
