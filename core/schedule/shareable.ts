import type { Spread } from './spread'
import { THICKENED } from './thickenedMilk'

/** Something that can be made once for two dishes of a day. */
export interface Shareable {
  readonly kind: 'nuts' | 'jaggery' | 'thickened' | 'ground'
  readonly steps: readonly string[]
  readonly from: string
  readonly for: string
}

/** Steps of the same work in two dishes; grinding only where both grind the same. */
const KINDS = [
  { kind: 'nuts', steps: ['nuts'], sameBase: false },
  { kind: 'jaggery', steps: ['melt'], sameBase: false },
  { kind: 'thickened', steps: [THICKENED.step], sameBase: false },
  { kind: 'ground', steps: ['wash', 'grind'], sameBase: true },
] as const

/**
 * What can be made once for two dishes: nuts fried, jaggery melted, milk thickened, the same lentils washed and ground.
 *
 * @param spread the day
 * @returns each with the dish whose step it is, the first on the day, and the dish that is spared
 */
export function shareableOf(spread: Pick<Spread, 'dishes'>): Shareable[] {
  const has = (dish: Spread['dishes'][number], steps: readonly string[]): boolean => steps.every(step => dish.steps.activities.some(activity => activity.id === step))
  const ground = (dish: Spread['dishes'][number]): string => `${dish.card.ingredients.find(one => one.id === dish.card.base)?.ingredient ?? ''} ${dish.card.choices.preparation}`
  return KINDS.flatMap(({ kind, steps, sameBase }) => {
    const able = spread.dishes.filter(dish => has(dish, steps))
    return able.slice(1).flatMap((dish): Shareable[] => {
      const first = able.find(one => !sameBase || ground(one) === ground(dish))!
      return first === dish ? [] : [{ kind, steps, from: first.id, for: dish.id }]
    })
  })
}
