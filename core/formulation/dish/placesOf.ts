import type { Dish } from './dish'

/** What of a kitchen is taken for a cook: pans, a pot, fires. */
export interface TakenPlaces<P, F> {
  readonly pan: P
  readonly pot: P
  /** The pressure pan, and another open pan beside the one that is chosen; missing where there is none. */
  readonly pressure?: P | undefined
  readonly second?: P | undefined
  readonly fire: F
  readonly otherFire: F
}

/** Vessels and fires by a dish's vessel ids. */
export interface Places<P, F> { readonly pans: Record<string, P>, readonly fires: Record<string, F> }

/** Vessels that stand on the fire that is chosen, the first of them that a dish has; the others stand beside. */
const MAIN_FIRE = [['roasting-pan'], ['pan', 'pressure-pan']] as const

/**
 * Which of the household's vessels and fires each vessel of a dish gets: the pan that is chosen for what it is finished
 * in, a pressure pan where something is pressed, another pan where grain is roasted beside, the pot for the rest. The
 * fire that is chosen is the roast's where something roasts in a pan of its own.
 *
 * @param dish with its vessels
 * @param taken what of the kitchen is chosen
 * @returns vessels and fires by the dish's vessel ids
 */
export function placesOf<P, F>(dish: Pick<Dish, 'vessels'>, taken: TakenPlaces<P, F>): Places<P, F> {
  const { pan, pot, pressure = pot, second = pot } = taken
  const has = (ids: readonly string[]): boolean => dish.vessels.some(({ id }) => ids.includes(id))
  const onMain: readonly string[] = MAIN_FIRE.find(has) ?? []
  const own: Readonly<Record<string, P>> = { 'pan': pan, 'pressure-pan': pressure, 'roasting-pan': second }
  return {
    pans: Object.fromEntries(dish.vessels.map(({ id }) => [id, own[id] ?? pot])),
    fires: Object.fromEntries(dish.vessels.map(({ id }) => [id, onMain.includes(id) ? taken.fire : taken.otherFire])),
  }
}
