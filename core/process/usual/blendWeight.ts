import type { Evidence } from '../../materials/belief/reading'
import { FIRST_WEIGHT } from './blendedPace'

/** Names under which a batch says how far the physics, and the usual minutes, were off its wet stages, in log time. */
export const PHYSICS_OFF = 'blend.physics'
export const USUAL_OFF = 'blend.usual'
/** The first weight counts as so many batches in which each was off by this much, in log time (estimates). */
const FIRST_BATCHES = 3
const FIRST_OFF = 0.3

/**
 * Weight of the usual minutes against the physics in wet stages: half and half at first, then by which of the two was
 * nearer in the household's own batches (each in proportion to the other's mean squared error in log time).
 *
 * @param evidence readings of past batches
 * @returns weight of the usual minutes, 0 to 1
 */
export function blendWeight(evidence: readonly Evidence[]): number {
  const squares = (name: string): number =>
    evidence.filter(one => one.name === name).reduce((sum, one) => sum + Math.min(1, one.value ** 2), 0)
  const first = FIRST_BATCHES * FIRST_OFF ** 2
  const physics = first * FIRST_WEIGHT * 2 + squares(PHYSICS_OFF)
  const usual = first * (1 - FIRST_WEIGHT) * 2 + squares(USUAL_OFF)
  return physics / (physics + usual)
}
