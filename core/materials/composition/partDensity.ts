import { constant } from '../constants/constants'

/** Densities of the parts of a content, g/ml: handbook values (recalled, unchecked). */
export const DENSITY = {
  water: constant('densityWater'),
  solids: constant('densitySolids'),
  fat: constant('densityFat'),
  sugar: constant('densitySugar'),
  nuts: constant('densityNuts'),
}
