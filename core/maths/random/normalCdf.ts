/** Standard deviations from the middle of a normal spread to its 10th and 90th percentile. */
export const Z90 = 1.2815515655

/**
 * Share of a standard normal below z, by the approximation 7.1.26 of Abramowitz and Stegun (1964), error below 1.5e-7.
 *
 * @param z any number; NaN gives NaN
 * @returns probability in [0, 1]
 * @example normalCdf(0) // 0.5
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const erf = 1 - poly * Math.exp(-x * x)
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2
}
