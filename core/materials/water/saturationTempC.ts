const HOTTEST_C = 260

/**
 * Temperature at which water's saturation pressure is the given one: Buck's equation solved for temperature.
 *
 * @param pressurePa pressure in Pa, above 611 Pa
 * @returns temperature in °C; 260 where the equation has no answer left (above about 4 MPa)
 * @example saturationTempC(101325) // about 100
 */
export function saturationTempC(pressurePa: number): number {
  const y = Math.log(pressurePa / 611.21)
  const half = (18.678 - y) * 234.5 / 2
  const inside = half * half - 257.14 * y * 234.5
  if (!(inside > 0)) return HOTTEST_C
  return Math.min(HOTTEST_C, half - Math.sqrt(inside))
}
