import { baseAreaM2 } from './baseAreaM2'

/**
 * Depth of a volume lying level in a straight-walled round vessel.
 *
 * @param volumeMl volume in ml, zero or more
 * @param innerDiameterMm inner diameter in mm, above zero
 * @returns depth in mm
 * @example depthMm(1000, 260) // 18.8
 */
export function depthMm(volumeMl: number, innerDiameterMm: number): number {
  return volumeMl / 1000 / baseAreaM2(innerDiameterMm)
}
