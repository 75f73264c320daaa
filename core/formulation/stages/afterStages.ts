import { formOf } from '../dish/forms'
import type { DishCard, Stage } from '../dish/dish'
import { idsOf, stage, type StageMore } from './shape'
import type { StageId } from '../dish/stageRole'

/** A stage after the fire. */
function later(id: StageId, does: Stage['does'], minutes: number, more: StageMore): Stage {
  return stage(id, does, 'table', { phase: 'after', flame: 'off', until: { minutes }, ...more })
}

/**
 * What comes after the fire: the share set apart, the tray, setting, rolling.
 *
 * @param card the dish
 * @returns its stages after the fire, in order; minutes are the usual ones
 */
export function afterStages(card: DishCard): Stage[] {
  const { tasting, nuts } = card.choices
  const { shapedBy } = formOf(card)
  const free = nuts === 'last' && shapedBy !== 'hands' && card.ingredients.some(one => one.part === 'nuts')
  return [
    ...(free
      ? [
          later('free-share', 'shape', 1, { watch: ['free-first'], cautions: ['allergen'] }),
          later('nuts-in', 'shape', 1, { handles: idsOf(card, 'nuts') }),
        ]
      : []),
    ...(shapedBy === 'knife'
      ? [
          later('spread', 'shape', 4, { watch: ['greased-tray', 'score-warm'], cautions: ['hot-sweet'] }),
          later('set', 'set', card.choices.sugar === 'syrup' ? 120 : 240, { hands: 0, expect: ['soft-middle'] }),
        ]
      : []),
    ...(shapedBy === 'hands'
      ? [
          later('roll', 'shape', 20, {
            watch: ['greased-hands'],
            cautions: ['hot-sweet'],
            expect: ['firms-as-it-cools'],
          }),
        ]
      : []),
    ...(tasting === 'not-tasted' ? [later('set-apart', 'shape', 1, { watch: ['share-first'] })] : []),
  ]
}
