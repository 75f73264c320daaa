import { isOneOf } from '../../records'
import type { Durations } from '../problem/day'
import type { Spread } from './spread'
import { THICKENED } from './thickenedMilk'

/** Something that can be made once for two dishes of a day. */
export interface Shareable {
  readonly kind: 'nuts' | 'jaggery' | 'thickened' | 'ground'
  readonly steps: readonly string[]
  readonly from: string
  readonly for: string
}

/** Minutes of a step done for two dishes, over those for one (estimate). */
const FOR_TWO = 1.4

/**
 * Steps of the same work in two dishes; grinding only where both grind the same, boiling off as long as for each alone.
 */
const KINDS = [
  { kind: 'nuts', steps: ['nuts'], sameBase: false, addsUp: false },
  { kind: 'jaggery', steps: ['melt'], sameBase: false, addsUp: false },
  { kind: 'thickened', steps: [THICKENED.step], sameBase: false, addsUp: true },
  { kind: 'ground', steps: ['wash', 'grind'], sameBase: true, addsUp: false },
] as const

/**
 * What can be made once for two dishes: nuts fried, jaggery melted, milk thickened, the same lentils washed and ground.
 *
 * @param spread the day
 * @returns each with the dish whose step it is, the first on the day, and the dish that is spared
 */
export function shareableOf(spread: Pick<Spread, 'dishes'>): Shareable[] {
  const has = (dish: Spread['dishes'][number], steps: readonly string[]): boolean =>
    steps.every(step => dish.steps.activities.some(activity => activity.id === step))
  const ground = ({ card }: Spread['dishes'][number]): string => {
    const bases = card.ingredients.filter(
      one => one.id === card.base || one.asBase?.preparation === card.choices.preparation,
    )
    return [...bases.map(one => `${one.ingredient} ${one.perBase}`), card.choices.preparation].join(' ')
  }
  return KINDS.flatMap(({ kind, steps, sameBase }) => {
    const able = spread.dishes.filter(dish => has(dish, steps))
    return able.slice(1).flatMap((dish): Shareable[] => {
      const first = able.find(one => !sameBase || ground(one) === ground(dish)) ?? dish
      return first === dish ? [] : [{ kind, steps, from: first.id, for: dish.id }]
    })
  })
}

/**
 * How long a step lasts that is done for other dishes as well: longer, but not twice as long, unless all of it has to
 * boil off.
 *
 * @param step its id
 * @param own minutes for its own dish
 * @param others minutes it would last for each other dish, none where it is not shared
 * @returns whole minutes
 */
export function lastsForAll(step: string, own: Durations, others: readonly Durations[]): Durations {
  if (others.length === 0) return own
  const addsUp = KINDS.some(one => one.addsUp && isOneOf(one.steps, step))
  const lasts = (at: 0 | 1 | 2): number =>
    addsUp ? others.reduce((sum, one) => sum + one[at], own[at]) : Math.ceil(own[at] * FOR_TWO)
  return [lasts(0), lasts(1), lasts(2)]
}
