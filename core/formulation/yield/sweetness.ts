import { keysOf } from '../../records'
import type { Nutrients, SugarKind } from '../../materials/composition/nutrients'

/** How it is eaten. */
export type Served = 'warm' | 'cold'

/**
 * Sweetness of each sugar relative to sucrose. Fructose loses sweetness with warmth as its rings turn (Shallenberger,
 * recalled, unchecked); the others hardly change.
 */
const RELATIVE: Readonly<Record<Served, Readonly<Record<SugarKind, number>>>> = {
  warm: { sucrose: 1, glucose: 0.65, fructose: 0.95, maltose: 0.4, lactose: 0.25 },
  cold: { sucrose: 1, glucose: 0.65, fructose: 1.4, maltose: 0.4, lactose: 0.25 },
}

/**
 * All the sugars of a mix as the sucrose that tastes as sweet.
 *
 * @param mix sugars in g
 * @param served warm (about 55 °C) or cold (about 8 °C)
 * @returns g of sucrose
 */
export function sweetnessG(mix: Pick<Nutrients, SugarKind>, served: Served): number {
  const factors = RELATIVE[served]
  return (keysOf(factors)).reduce((sum, kind) => sum + mix[kind] * factors[kind], 0)
}
