import { numberAt } from '../table/itemAt'
import type { Uniform } from './seededRandom'

/**
 * Fills an array with independent standard normal numbers (Box and Muller, 1958).
 *
 * @param target the array to be filled, any length
 * @param uniform source of numbers in [0, 1)
 * @returns the same array
 * @example fillNormal(new Float64Array(400), seededRandom(1))
 */
export function fillNormal(target: Float64Array, uniform: Uniform): Float64Array {
  for (let i = 0; i < target.length; i += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()))
    const angle = 2 * Math.PI * uniform()
    target[i] = radius * Math.cos(angle)
    if (i + 1 < target.length) target[i + 1] = radius * Math.sin(angle)
  }
  return target
}

/**
 * One standard normal number.
 *
 * @param uniform source of numbers in [0, 1)
 * @returns the number
 */
export function oneNormal(uniform: Uniform): number {
  return numberAt(fillNormal(new Float64Array(1), uniform), 0)
}
