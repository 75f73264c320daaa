import type { TermCode } from '../../formulation/signs/terms'
import { END_FAULTS, FAULT_IDS, FAULTS, type EndFault, type Fault, type FaultyDish } from './faults'

/**
 * The faults that can be met at the fire in what is made here: those of its form, its sugar, its base.
 *
 * @param dish with its choices, where it has any
 * @returns faults in the order they are offered
 */
export function faultsAtFire(dish: FaultyDish): readonly Fault[] {
  return FAULT_IDS.filter(fault => FAULTS[fault].atFire && FAULTS[fault].applies(dish))
}

/**
 * The faults that a finished sweet can be said to have.
 *
 * @param dish with its choices, where it has any
 * @returns faults in the order they are offered
 */
export function faultsAtEnd(dish: FaultyDish): readonly EndFault[] {
  return END_FAULTS.filter((fault) => {
    const { applies, atEnd } = FAULTS[fault]
    return applies(dish) && (typeof atEnd === 'boolean' ? atEnd : atEnd(dish))
  })
}

/**
 * The fault that a perception may be the mark of, where something can be done.
 *
 * @param term what was perceived
 * @returns the fault; null where it is the mark of none
 */
export function faultOfTerm(term: TermCode): Fault | null {
  return FAULT_IDS.find(fault => FAULTS[fault].terms?.includes(term)) ?? null
}
