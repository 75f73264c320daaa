import { constant } from '../constants/constants'
import { tabulate } from '../../maths/table/tabulate'

const MOLAR_MASS_WATER = 18.015
const MOLAR_MASS_SUCROSE = 342.3
const MOLAR_MASS_INVERT = 180.16
/** Norrish's coefficient of glucose and of fructose (Norrish 1966; recalled, unchecked). */
const INVERT_ROOT = Math.sqrt(2.25)
const lowered = tabulate(y => Math.exp(-y), 0, 8, 0.002)
/**
 * Coefficient of sucrose: value at 25 °C in thin solution, rise for each K, fall with mole fraction, and the least
 * share of it that is left. Fitted to osmotic coefficients at 25 °C after Robinson and Stokes and to handbook boiling
 * points (recalled, unchecked); the floor only keeps the form falling beyond the strengths that were fitted.
 */
const SUCROSE_K = constant('sucroseK')
const RISE_PER_K = constant('sucroseRise')
const FALL = constant('sucroseFall')
const FLOOR = constant('sucroseFloor')

/**
 * Water activity of a solution of sucrose and invert sugar: ln aw = ln(1 − x) − (√K₁·x₁ + √K₂·x₂)², mole fractions x₁
 * of sucrose (lactose and maltose count as it) and x₂ of glucose and fructose. Norrish's form for mixtures (Norrish
 * 1966), with a sucrose coefficient that falls with strength and rises with temperature. Boiling points within 0.7 K of
 * the handbook table from 10 to 80 % sucrose and within 2 K at 90.8 %; water activity at 25 °C within 0.004 to
 * saturation.
 *
 * @param sucroseG mass of disaccharides in g, zero or more
 * @param invertG mass of glucose and fructose in g, zero or more
 * @param waterG mass of water in g, above zero
 * @param tempC temperature in °C, 0 to 150
 * @returns water activity in (0, 1]; beyond 92 % sugar by weight an extrapolation that still falls
 * @example sugarWaterActivity(80, 0, 20, 112) // about 0.66
 */
export function sugarWaterActivity(sucroseG: number, invertG: number, waterG: number, tempC: number): number {
  if (!(sucroseG + invertG > 0)) return 1
  const sucrose = sucroseG / MOLAR_MASS_SUCROSE
  const invert = invertG / MOLAR_MASS_INVERT
  const moles = sucrose + invert + waterG / MOLAR_MASS_WATER
  const x = (sucrose + invert) / moles
  const fall = 1 - FALL * x
  const k = (SUCROSE_K + RISE_PER_K * (tempC - 25)) * (fall > FLOOR ? fall : FLOOR)
  if (!(invert > 0)) return (1 - x) * lowered(k * x * x)
  const root = (Math.sqrt(k) * sucrose + INVERT_ROOT * invert) / moles
  return (1 - x) * lowered(root * root)
}
