import type { DayDish, Hold, VesselKind } from './day'

/**
 * Vessels and machines a dish holds, the grinder among them.
 *
 * @example holdsOf(dish) // [{ need: 'heavyL', first: 'roast', last: 'pour' }, …]
 */
export function holdsOf(dish: DayDish): Hold[] {
  return [
    ...dish.holds,
    ...dish.activities
      .filter(activity => activity.grinder)
      .map((activity): Hold => ({ need: 'grinder', first: activity.id, last: activity.id })),
  ]
}

/** Whether a vessel of a kind serves a need: a large heavy pan also where a heavy one is needed. */
export function serves(need: VesselKind, kind: VesselKind): boolean {
  return kind === need || (need === 'heavy' && kind === 'heavyL')
}
