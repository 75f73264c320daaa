import { MEMBER_NAMES } from '../belief/memberValues'
import { fillNormal } from '../random/fillNormal'
import { seededRandom } from '../random/seededRandom'

/** Share of the new members drawn from the first belief, so that no part of it is ever lost. */
const FRESH_SHARE = 0.15
/** The new members are spread a little wider than the weighted old ones. */
const WIDER = 1.25
const LEAST_SPREAD = 0.15

/** New members with the logarithm of the density they have under the belief over that of their drawing. */
export interface Proposal {
  readonly normals: Float64Array
  readonly logCorrection: Float64Array
}

/**
 * Draws a second ensemble where the weights of the first one lie, with the correction that keeps the result exact:
 * population Monte Carlo (Cappé et al. 2004; recalled, unchecked) with one independent normal a parameter and a share
 * drawn from the belief itself.
 *
 * @param normals the first ensemble, standard normal numbers
 * @param weights of its members, adding to one
 * @param members how many new ones
 * @param seed seed of the drawing
 * @returns new members and their corrections
 */
export function proposeMembers(normals: Float64Array, weights: Float64Array, members: number, seed: number): Proposal {
  const size = MEMBER_NAMES.length
  const mean = new Float64Array(size)
  const square = new Float64Array(size)
  for (let i = 0; i < weights.length; i++) {
    for (let k = 0; k < size; k++) {
      mean[k] += weights[i] * normals[i * size + k]
      square[k] += weights[i] * normals[i * size + k] ** 2
    }
  }
  const spread = mean.map((m, k) => Math.max(LEAST_SPREAD, Math.sqrt(Math.max(0, square[k] - m * m)) * WIDER))
  const drawn = fillNormal(new Float64Array(members * size), seededRandom(seed))
  const fresh = Math.round(members * FRESH_SHARE)
  const logCorrection = new Float64Array(members)
  for (let i = 0; i < members; i++) {
    let logBelief = 0
    let logPeak = 0
    for (let k = 0; k < size; k++) {
      const at = i * size + k
      if (i >= fresh) drawn[at] = mean[k] + spread[k] * drawn[at]
      const z = (drawn[at] - mean[k]) / spread[k]
      logBelief -= drawn[at] * drawn[at] / 2
      logPeak -= z * z / 2 + Math.log(spread[k])
    }
    const most = Math.max(logBelief, logPeak)
    const density = FRESH_SHARE * Math.exp(logBelief - most) + (1 - FRESH_SHARE) * Math.exp(logPeak - most)
    logCorrection[i] = logBelief - most - Math.log(density)
  }
  return { normals: drawn, logCorrection }
}
