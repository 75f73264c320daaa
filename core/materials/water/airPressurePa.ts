import { requireRange } from '../../requireRange'

/**
 * Air pressure at a height, International Standard Atmosphere (ISO 2533).
 *
 * @param altitudeM height above the sea in m, −400 to 6000
 * @returns pressure in Pa
 * @throws CoreError `out-of-range`
 * @example airPressurePa(0) // 101 325
 */
export function airPressurePa(altitudeM: number): number {
  requireRange('airPressurePa.altitudeM', altitudeM, -400, 6000)
  return 101325 * (1 - 2.25577e-5 * altitudeM) ** 5.25588
}
