import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { arrhenius } from '../../materials/browning/arrhenius'
import { decayed } from '../../maths/table/decayed'
import { tabulate } from '../../maths/table/tabulate'
import { SOFT, TEMP } from './layout'

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
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param member uncertain numbers
 * @param stepS length of the step in s
 */
export function softenTissue(state: Float64Array, at: number, member: MemberValues, stepS: number): void {
  const temp = state[at + TEMP]
  if (temp < IDLE_C || state[at + SOFT] > 0.999) return
  const rate = member.softening * rateAt(temp)
  state[at + SOFT] += (1 - state[at + SOFT]) * decayed(rate * stepS)
}
