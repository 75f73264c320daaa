import type { Day } from '../../core/day/problem/day'
import type { Lanes } from '../../core/day/problem/lanesOf'
import type { Spread } from '../../core/day/spread/spread'
import { dayView, type DayView } from './dayView'

/** Below this width names have less room. */
const NARROW = 900
const NAMES = { phone: 112, narrow: 212, wide: 214 } as const
/** A phone: the name of a dish stands above its arch, which is that much taller in its row. */
const PHONE = 500
const ABOVE = 22

/**
 * A household's day as it is drawn.
 *
 * @param spread the day, for names and looks
 * @param day the problem the starts belong to
 * @param plan start minutes, and minutes each meal is moved
 * @param width drawing units
 * @param rowHeight of a dish, drawing units
 * @param lanes where they are not those of the starts
 * @param screen width it is shown in, where that is less than it is drawn
 */
export function viewOfSpread(
  spread: Spread,
  day: Day,
  plan: { readonly starts: Readonly<Record<string, number>>, readonly late: Readonly<Record<string, number>> },
  width: number,
  rowHeight: number,
  lanes?: Lanes,
  screen = width,
): DayView {
  const isPhone = screen > 0 && screen < PHONE
  const looks = new Map(spread.dishes.map(dish => [dish.id, { colours: dish.colours, turn: dish.turn }]))
  const names = {
    hands: spread.hands.map(hand => hand.name),
    fires: spread.fires.map(fire => fire.name),
    vessels: new Map(spread.vessels.map(vessel => [vessel.id, vessel.name])),
  }
  const room = isPhone ? NAMES.phone : width < NARROW ? NAMES.narrow : NAMES.wide
  return {
    ...dayView(day, plan.starts, plan.late, looks, names, width, room, isPhone ? rowHeight + ABOVE : rowHeight, lanes),
    namesAbove: isPhone,
  }
}

/**
 * How tall the row of a dish is drawn: fewer dishes stand higher.
 *
 * @param dishes how many
 */
export function rowHeightFor(dishes: number): number {
  if (dishes <= 3) return 104
  if (dishes <= 5) return 78
  return dishes <= 8 ? 66 : 56
}
