import { constant } from '../constants/constants'

/** Specific heats near 50 °C in J/(g·K): handbook values (recalled, unchecked); nuts by their usual composition. */
export const SPECIFIC_HEAT = {
  water: constant('specificHeatWater'),
  solids: constant('specificHeatSolids'),
  fat: constant('specificHeatFat'),
  sugar: constant('specificHeatSugar'),
  nuts: constant('specificHeatNuts'),
}
