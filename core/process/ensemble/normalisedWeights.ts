import { numberAt } from '../../maths/table/itemAt'

/**
 * Weights from log-likelihoods, scaled to add to one without underflow.
 *
 * @param logs log-likelihoods, up to a constant; NaN counts as impossible
 * @returns weights adding to one; all equal where every member is impossible
 */
export function normalisedWeights(logs: Float64Array): Float64Array {
  const weights = new Float64Array(logs.length)
  let most = Number.NEGATIVE_INFINITY
  for (const log of logs) if (log > most) most = log
  let total = 0
  for (let i = 0; i < logs.length; i++) {
    const weight = Math.exp(numberAt(logs, i) - most)
    weights[i] = weight > 0 ? weight : 0
    total += numberAt(weights, i)
  }
  if (!(total > 0)) return weights.fill(1 / logs.length)
  for (let i = 0; i < weights.length; i++) weights[i] = numberAt(weights, i) / total
  return weights
}

/**
 * Effective number of members (Kish): one over the sum of squared weights.
 *
 * @param weights adding to one
 * @returns between 1 and the number of members
 */
export function effectiveMembers(weights: Float64Array): number {
  let squares = 0
  for (const weight of weights) squares += weight * weight
  return 1 / squares
}
