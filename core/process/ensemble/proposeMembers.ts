import { numberAt } from '../../maths/table/itemAt'
import { MEMBER_NAMES } from '../belief/memberValues'
import { cholesky, solveCholesky, solveUpper } from '../../maths/linear/cholesky'
import { ridge } from '../../maths/linear/ridge'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import type { Residuals } from './logLikelihoods'

/** Share of the new members drawn from the belief itself, so that no part of it is ever lost. */
const FRESH_SHARE = 0.15
/**
 * The new members are spread wider than the linear answer where something was marked, as if it had been read this much
 * worse; elsewhere they are the belief.
 */
const WIDER = 1.3

/** New members with the logarithm of the density they have under the belief over that of their drawing. */
export interface Proposal {
  readonly normals: Float64Array
  readonly logCorrection: Float64Array
}

/**
 * Draws a second ensemble where what was marked puts it: every mark's residual is fitted by a linear function of the
 * uncertain numbers, and the normal belief that follows from all of them together (the Kalman answer) is drawn from,
 * with a share from the first belief and with the correction that keeps the weighted result exact (importance sampling;
 * Evensen 1994 and Cappé et al. 2004, recalled, unchecked).
 *
 * @param normals the ensemble at hand, standard normal numbers
 * @param weights of its members, adding to one: where the fit matters
 * @param residuals of every mark
 * @param members how many new ones
 * @param seed seed of the drawing
 * @returns new members and their corrections
 */
export function proposeMembers(
  normals: Float64Array,
  weights: Float64Array,
  residuals: Residuals,
  members: number,
  seed: number,
): Proposal {
  const size = MEMBER_NAMES.length
  const { mean, precision } = linearAnswer(normals, weights, residuals)
  const lower = cholesky(widened(precision, size), size)
  const drawn = fillNormal(new Float64Array(members * size), seededRandom(seed))
  const fresh = Math.round(members * FRESH_SHARE)
  const logCorrection = new Float64Array(members)
  let logDeterminant = 0
  for (let k = 0; k < size; k++) logDeterminant += Math.log(numberAt(lower, k * size + k))
  for (let i = 0; i < members; i++) {
    const own = drawn.subarray(i * size, (i + 1) * size)
    if (i >= fresh) {
      const moved = solveUpper(lower, own, size)
      for (let k = 0; k < size; k++) own[k] = numberAt(mean, k) + numberAt(moved, k)
    }
    logCorrection[i] = correction(own, mean, lower, logDeterminant)
  }
  return { normals: drawn, logCorrection }
}

/** The normal belief after all marks, each taken as linear: its mean and precision. */
function linearAnswer(normals: Float64Array, weights: Float64Array, residuals: Residuals) {
  const size = MEMBER_NAMES.length
  const precision = new Float64Array(size * size)
  const pull = new Float64Array(size)
  for (let k = 0; k < size; k++) precision[k * size + k] = 1
  const even = new Float64Array(weights.length).fill(0.3 / weights.length)
  const balanced = weights.map((weight, i) => 0.7 * weight + numberAt(even, i))
  for (const term of residuals.terms) {
    const { constant, slope, variance } = ridge(normals, size, term, balanced)
    const noise = 1 + variance
    for (let p = 0; p < size; p++) {
      pull[p] = numberAt(pull, p) - numberAt(slope, p) * constant / noise
      for (let q = 0; q < size; q++)
        precision[p * size + q] = numberAt(precision, p * size + q) + (numberAt(slope, p) * numberAt(slope, q)) / noise
    }
  }
  return { mean: solveCholesky(cholesky(precision, size), pull), precision }
}

/** The precision with what the marks add to it taken back a little; what nobody spoke of stays as it is. */
function widened(precision: Float64Array, size: number): Float64Array {
  return precision.map((value, i) => {
    const own = i % (size + 1) === 0 ? 1 : 0
    return own + (value - own) / WIDER
  })
}

/** Logarithm of the belief's density over the drawing's, up to a constant shared by all members. */
function correction(own: Float64Array, mean: Float64Array, lower: Float64Array, logDeterminant: number): number {
  const size = own.length
  let logBelief = 0
  for (let k = 0; k < size; k++) logBelief -= numberAt(own, k) * numberAt(own, k) / 2
  let logPeak = logDeterminant
  // (z − m)ᵀ·L·Lᵀ·(z − m): the precision's own factor, applied from the right.
  for (let k = 0; k < size; k++) {
    let along = 0
    for (let p = k; p < size; p++) along += numberAt(lower, p * size + k) * (numberAt(own, p) - numberAt(mean, p))
    logPeak -= along * along / 2
  }
  const most = Math.max(logBelief, logPeak)
  const density = FRESH_SHARE * Math.exp(logBelief - most) + (1 - FRESH_SHARE) * Math.exp(logPeak - most)
  return logBelief - most - Math.log(density)
}
