import type { Dish, Part } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'

/** Change of L* once jaggery, or milk, is in it (estimates). */
const TINTS: Partial<Record<Part, number>> = { 'jaggery': -9, 'milk': 4, 'condensed': -2 }

/**
 * How what has gone in up to each stage lightens or darkens the mass.
 *
 * @param dish with its stages; what is poured from beside comes with the stage that pours
 * @returns change of L* in each main-line stage
 */
export function stageTints(dish: Dish): number[] {
  const seen = new Set<Part>()
  return mainLine(dish).map((stage) => {
    const beside = dish.stages.filter(one => one.meets?.stage === stage.id && one.vessel === stage.from)
    for (const { ingredient } of [stage, ...beside].flatMap(one => one.adds)) {
      const part = dish.ingredients.find(one => one.id === ingredient)?.part
      if (part) seen.add(part)
    }
    return [...seen].reduce((sum, part) => sum + (TINTS[part] ?? 0), 0)
  })
}
