import { saturationPressurePa } from '../../materials/water/saturationPressurePa'

/**
 * The height at which water boils at a temperature, International Standard Atmosphere (ISO 2533).
 *
 * @param boilingC °C, 80 to 102
 * @returns m above the sea; below zero where it boils above 100 °C
 * @example altitudeOfBoilM(95) // about 1500
 */
export function altitudeOfBoilM(boilingC: number): number {
  return (1 - (saturationPressurePa(boilingC) / 101325) ** (1 / 5.25588)) / 2.25577e-5
}
