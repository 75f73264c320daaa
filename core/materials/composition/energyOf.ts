import type { Nutrients } from './nutrients'
import { sugarsOf } from './sugarsOf'

/** Energy of each part, kJ/g: the general factors of food labelling (FAO 2003; EU 1169/2011). */
const FACTORS = { protein: 17, fat: 37, carbohydrate: 17, fibre: 8, acids: 13 } as const

/** Kilojoules of a kilocalorie, thermochemical (ISO 80000-5). */
export const KJ_PER_KCAL = 4.184

/**
 * Energy of a food reckoned from its parts.
 *
 * @param food parts of 100 g; its own energy is not looked at
 * @returns kJ in 100 g
 * @example energyOf({ ...nothing, fat: 100 }) // 3700
 */
export function energyOf(food: Nutrients): number {
  return FACTORS.protein * food.protein + FACTORS.fat * food.fat + FACTORS.carbohydrate * (food.starch + sugarsOf(food))
    + FACTORS.fibre * food.fibre + FACTORS.acids * food.acids
}
