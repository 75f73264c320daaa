import type { Day, VesselKind } from './day'
import { canChill, chilledDish } from './outsideCold'

/** A change of the kitchen that may help a day. */
export interface Relief {
  readonly kind: 'fire' | 'hands' | 'heavy' | 'pot' | 'ppan' | 'grinder' | 'tray' | 'cold' | 'chilled' | 'sooner'
  readonly day: Day
}

/** Minutes sooner that a day could be begun, such as soaking tonight. */
const SOONER_MIN = 600

/**
 * One more of each thing that binds, to be tried: a fire, hands, a heavy pan, a pot, a pressure pan, a grinder, a tray,
 * room in the cold, what perishes kept in the cold until its meal, or a sooner start.
 *
 * @param day as it is
 * @returns changed days; only of things the dishes use
 */
export function reliefsOf(day: Day): Relief[] {
  const needs = new Set(day.dishes.flatMap(dish => dish.holds.map(hold => hold.need)))
  const grinds = day.dishes.filter(dish => dish.activities.some(activity => activity.grinder)).length > 1
  const more = (kind: Relief['kind'], vessel: VesselKind): Relief => ({
    kind,
    day: { ...day, vessels: [...day.vessels, { id: `one-more-${vessel}`, kind: vessel }] },
  })
  return [
    { kind: 'fire', day: { ...day, burners: day.burners + 1 } },
    { kind: 'hands', day: { ...day, cooks: day.cooks + 1 } },
    ...(needs.has('heavy') || needs.has('heavyL') ? [more('heavy', 'heavyL')] : []),
    ...(needs.has('pot') ? [more('pot', 'pot')] : []),
    ...(needs.has('ppan') && day.dishes.filter(dish => dish.holds.some(hold => hold.need === 'ppan')).length > 1
      ? [more('ppan', 'ppan')]
      : []),
    ...(grinds ? [more('grinder', 'grinder')] : []),
    ...(needs.has('tray') ? [more('tray', 'tray')] : []),
    ...(needs.has('cold') ? [more('cold', 'cold')] : []),
    ...(day.dishes.some(canChill)
      ? [
          {
            kind: 'chilled' as const,
            day: { ...day, dishes: day.dishes.map(dish => (canChill(dish) ? chilledDish(dish, false) : dish)) },
          },
        ]
      : []),
    ...(day.now >= SOONER_MIN ? [{ kind: 'sooner' as const, day: { ...day, now: day.now - SOONER_MIN } }] : []),
  ]
}
