import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'

/**
 * How far off in log time a cook sees the sign at which the flame is turned (measured tap error), and members it is
 * drawn for.
 */
const SEEN_NOISE = 0.18
const DRAWN = 96

/**
 * How late a cook turns the flame at a sign. A sign is seen early as often as late; a flame is turned at the sign at
 * the earliest.
 *
 * @param seed of the drawing
 * @returns by member, as shares of the time since the stage began
 */
export function lateness(seed: number): Float64Array {
  return fillNormal(new Float64Array(DRAWN), seededRandom(seed + 31)).map(z =>
    Math.max(0, Math.exp(SEEN_NOISE * z) - 1),
  )
}
