const MOLAR_MASS_SUCROSE = 342.3
const MOLAR_MASS_WATER = 18.015
const K0 = 11.1

/**
 * Water activity of a sucrose solution near its boiling point: ln aw = ln(1−x) − K0·(1−2x)·x², x the mole fraction of
 * sucrose. One-parameter form after Norrish (1966) with K falling with x; K0 = 11.1 fitted to handbook boiling points
 * (recalled, unchecked): within 0.7 K of them from 10 to 80 % by weight, 5 K too low at 90.8 %. Off by up to 0.02 at
 * 25 °C: it is a formula for the boil.
 *
 * @param sugarG mass of sucrose in g, zero or more
 * @param waterG mass of water in g, zero or more
 * @returns water activity in [0, 1]; held at the value for 92 % sugar beyond that strength, where the form turns over
 * @example sucroseWaterActivity(80, 20) // about 0.66
 */
export function sucroseWaterActivity(sugarG: number, waterG: number): number {
  if (!(sugarG > 0)) return 1
  const water = Math.max(waterG, sugarG * 0.08 / 0.92)
  const moles = sugarG / MOLAR_MASS_SUCROSE
  const x = moles / (moles + water / MOLAR_MASS_WATER)
  return (1 - x) * Math.exp(-K0 * (1 - 2 * x) * x * x)
}
