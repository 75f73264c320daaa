import { constant } from '../../materials/constants/constants'
/** What stands on a vessel: nothing, a lid, or the sealed lid of a pressure pan. */
export const OPEN = 0
export const LID = 1
export const SEALED = 2
export type Cover = typeof OPEN | typeof LID | typeof SEALED

/**
 * Pressure above the air's at which a domestic pressure pan's valve lets steam go, Pa: 80–100 kPa (recalled,
 * unchecked).
 */
export const VALVE_PA = constant('valvePressure')
