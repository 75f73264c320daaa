import type { Ingredient } from '../../materials/composition/ingredient'
import type { Dish } from '../dish/dish'
import { mainLine } from '../dish/mainLine'
import { usualMinutes } from '../dish/usualMinutes'
import { familyOf } from '../family/families'
import { contentMass, contentVolume, stageContents } from './contents'

/** Volumes of a dish on its way, ml, and the density of what comes of it, g/ml. */
export interface Volumes { readonly greatestMl: number, readonly finishedMl: number, readonly density: number }

/**
 * The volumes a dish goes through in its pan, parts side by side: the greatest, when everything is in, and the finished
 * one.
 *
 * @param dish a dish with its stages
 * @param baseG weight of the base, g
 * @param rowOf rows of the ingredient table
 * @returns volumes without foam
 */
export function volumesOf(dish: Dish, baseG: number, rowOf: (ingredient: string) => Ingredient): Volumes {
  const amounts = dish.ingredients.map(one => ({
    id: one.id,
    ingredient: one.ingredient,
    massG: one.perBase * baseG,
    composition: rowOf(one.ingredient).composition,
  }))
  const line = mainLine(dish)
  const { fresh } = familyOf(dish.family)
  const contents = stageContents({ dish, amounts }, line.map(stage => usualMinutes(dish, stage) * 60))
  const softened = line.findIndex(
    stage => stage.does === 'cook-down' && stage.adds.some(one => one.ingredient === dish.base),
  )
  const greatestMl = contents.reduce(
    (most, { from, to }, k) =>
      Math.max(most, contentVolume(from, fresh, k <= softened ? 0 : 1), contentVolume(to, fresh, k < softened ? 0 : 1)),
    1,
  )
  const end = contents.at(-1)?.to ?? { water: 0, solids: 1, fat: 0, sugar: 0, nuts: 0 }
  const finishedMl = Math.max(1, contentVolume(end, fresh, 1))
  return { greatestMl, finishedMl, density: contentMass(end) / finishedMl }
}
