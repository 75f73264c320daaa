const GAS_CONSTANT = 8.314
const REFERENCE_K = 423.15

/**
 * Rate of a reaction relative to its rate at 150 °C (Arrhenius).
 *
 * @param tempC temperature in °C, −50 to 350
 * @param activationJ activation energy in J/mol, 0 to 400 000
 * @returns the factor; 1 at 150 °C
 * @example arrhenius(150, 62000) // 1
 */
export function arrhenius(tempC: number, activationJ: number): number {
  return Math.exp(activationJ / GAS_CONSTANT * (1 / REFERENCE_K - 1 / (tempC + 273.15)))
}
