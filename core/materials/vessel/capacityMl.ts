import { baseAreaM2 } from './baseAreaM2'

/**
 * Volume of a straight-walled round vessel, full to the brim.
 *
 * @param vessel inner diameter and depth in mm
 * @returns volume in ml
 * @example capacityMl({ innerDiameterMm: 260, depthMm: 70 }) // 3717
 */
export function capacityMl(vessel: { readonly innerDiameterMm: number, readonly depthMm: number }): number {
  return baseAreaM2(vessel.innerDiameterMm) * vessel.depthMm * 1000
}
