/**
 * Degrees of freedom of the scatter that is believed: a reading now and then is far off for reasons of its own
 * (estimate).
 */
const FREEDOM = 4
const ROUNDS = 4

/**
 * Weights of readings that scatter about a value with long tails (Student's t by reweighting, Lange et al. 1989,
 * recalled, unchecked): a reading far from where the others and the belief put it counts little, so that one odd batch
 * does not poison what was learned.
 *
 * @param residuals how far each reading is from the fitted value, in its own standard deviations, for given weights
 * @param count how many readings
 * @returns a factor on the precision of each, from 0 to 1.25
 */
export function robustWeights(residuals: (weights: readonly number[]) => readonly number[], count: number): number[] {
  let weights = new Array<number>(count).fill(1)
  for (let round = 0; round < ROUNDS; round++) {
    weights = residuals(weights).map(z => (FREEDOM + 1) / (FREEDOM + z * z))
  }
  return weights.map(weight => Math.min(1, weight))
}
