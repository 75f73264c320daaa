import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { arrhenius } from '../../materials/browning/arrhenius'
import { decayed } from '../../maths/table/decayed'
import { tabulate } from '../../maths/table/tabulate'
import { SOFT, TEMP, type VesselState } from './layout'

/**
 * Softening of vegetable tissue: 1/s at 100 °C and activation energy in J/mol (estimates within published ranges,
 * 60–160 kJ/mol).
 */
const RATE_AT_100 = constant('softeningRate')
const ENERGY = constant('softeningEnergy')
const rateAt = tabulate(tempC => RATE_AT_100 * arrhenius(tempC, ENERGY) / arrhenius(100, ENERGY), 40, 200, 0.5)
const IDLE_C = 55

/**
 * Softens fresh tissue for one step: first order in what is still firm, by temperature (Arrhenius).
 *
 * @param state the numbers of one vessel, changed in place
 * @param member uncertain numbers
 * @param stepS length of the step in s
 */
export function softenTissue(state: VesselState, member: MemberValues, stepS: number): void {
  const temp = state[TEMP]
  if (temp < IDLE_C || state[SOFT] > 0.999) return
  const rate = member.softening * rateAt(temp)
  state[SOFT] += (1 - state[SOFT]) * decayed(rate * stepS)
}
