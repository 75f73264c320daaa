import { tabulate } from '../../maths/table/tabulate'
import { saturationPressurePa } from './saturationPressurePa'

/**
 * Saturation pressure of water from a table, for where it is asked for at every step: within 1e-5 of the formula.
 *
 * @param tempC temperature in °C, 0 to 260; the nearest end beyond
 * @returns pressure in Pa
 * @example vapourPressureAt(100) // about 101 300
 */
export const vapourPressureAt = tabulate(saturationPressurePa, 0, 260, 0.25)
