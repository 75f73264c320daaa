/**
 * Saturation pressure of water by Buck's equation (Buck 1981, coefficients of 1996; recalled, unchecked).
 * Within 0.6 % of handbook values from 0 to 120 °C and within 2 % up to 170 °C; not meant beyond 200 °C.
 *
 * @param tempC temperature in °C, 0 to 200
 * @returns pressure in Pa
 * @example saturationPressurePa(100) // about 101 300
 */
export function saturationPressurePa(tempC: number): number {
  return 611.21 * Math.exp((18.678 - tempC / 234.5) * (tempC / (257.14 + tempC)))
}
