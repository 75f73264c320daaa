/**
 * Area of a round vessel's base.
 *
 * @param innerDiameterMm inner diameter in mm, above zero
 * @returns area in m²
 * @example baseAreaM2(260) // 0.0531
 */
export function baseAreaM2(innerDiameterMm: number): number {
  return Math.PI / 4 * (innerDiameterMm / 1000) ** 2
}
