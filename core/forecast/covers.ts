import type { Dish, Part } from '../dish/dish'
import { mainLine } from '../dish/mainLine'
import { sideStages } from '../dish/sideStages'
import { TIMED_SIGNS } from '../dish/signIds'
import { familyOf } from '../family/families'

const DOES = new Set(['fry', 'roast', 'pour', 'cook-down', 'enrich', 'rest'])
const PARTS: readonly (Part | undefined)[] = ['base', 'fat', 'sugar', 'jaggery', 'water', 'nuts', 'spice', 'steeped', 'fruit', undefined]
const TIMED: readonly string[] = TIMED_SIGNS

/**
 * Whether the physics cover a dish: its family's numbers are known, it is roasted and then wetted by one pour from a
 * pot at the boil, and every sign it waits for is one that is timed. Everything else runs on usual minutes.
 *
 * @param dish a dish with its stages
 * @returns true where the forecast runs on physics
 */
export function covers(dish: Dish): boolean {
  const line = mainLine(dish)
  const sides = sideStages(dish)
  return familyOf(dish.family).physics
    && line.every(stage => DOES.has(stage.does) && (!('sign' in stage.until) || TIMED.includes(stage.until.sign)))
    && line.filter(stage => stage.from !== undefined).length === 1
    && sides.every(side => side.does === 'heat' && line.some(stage => stage.from === side.vessel))
    && dish.ingredients.every(one => PARTS.includes(one.part))
}
