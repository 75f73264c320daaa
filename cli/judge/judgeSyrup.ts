import { syrupAtShare } from '../../core/materials/syrup/syrupAtShare'
import { sugarWaterActivity } from '../../core/materials/water/sugarWaterActivity'

const SEA_PA = 101_325
/** Boiling points of sucrose solutions at sea level, % by weight and °C: handbook table (recalled, unchecked). */
const BOILS = [[50, 102.0], [60, 103.0], [70, 106.5], [80, 112.0], [90.8, 130.0]] as const
/**
 * Water activity at 25 °C by mol sucrose per kg water: osmotic coefficients after Robinson and Stokes (recalled,
 * unchecked).
 */
const ACTIVITIES = [[1, 0.981], [2, 0.958], [3, 0.933], [4, 0.906], [5, 0.878], [6, 0.849]] as const

/**
 * Holds the syrup's formula against the published tables.
 *
 * @returns largest errors: boiling point from 50 to 80 % and at 90.8 % sucrose, K; water activity at 25 °C
 */
export function judgeSyrup(): {
  readonly maxErrorK: number
  readonly errorAt908K: number
  readonly maxErrorAw: number
} {
  const errors = BOILS.map(([percent, tempC]) => Math.abs(syrupAtShare(percent / 100, 0, SEA_PA).boilsAtC - tempC))
  return {
    maxErrorK: Math.max(...errors.slice(0, -1)),
    errorAt908K: errors.at(-1)!,
    maxErrorAw: Math.max(
      ...ACTIVITIES.map(([molal, activity]) => Math.abs(sugarWaterActivity(molal * 342.3, 0, 1000, 25) - activity)),
    ),
  }
}
