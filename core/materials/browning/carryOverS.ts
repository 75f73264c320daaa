import { constant } from '../constants/constants'
import { arrhenius } from './arrhenius'

/** Time constant with which fried nuts cool on a plate, s. */
const COOLING_S = constant('nutCooling')
const NUT_ENERGY = constant('nutEnergy')
const STEP_S = 1
/** After so many time constants nothing browns any more. */
const ENOUGH = 6

/**
 * How much longer nuts brown after they are lifted out of the fat, in seconds at the temperature they had in it: out so
 * much before the colour that is wanted, they come to it on the plate. They cool exponentially towards the room and
 * brown by the law that holds in the fat (Arrhenius).
 *
 * @param tempC temperature of the fat, °C, 60 to 250
 * @param airC temperature of the room, °C, below it
 * @returns s
 * @example carryOverS(145, 25) // about 15
 */
export function carryOverS(tempC: number, airC: number): number {
  let browned = 0
  for (let timeS = STEP_S / 2; timeS < ENOUGH * COOLING_S; timeS += STEP_S) {
    browned += arrhenius(airC + (tempC - airC) * Math.exp(-timeS / COOLING_S), NUT_ENERGY) * STEP_S
  }
  return browned / arrhenius(tempC, NUT_ENERGY)
}
