import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { arrhenius } from '../../materials/browning/arrhenius'
import { tabulate } from '../../maths/table/tabulate'
import { CHARRING_RATE } from './roastLightness'
import { AROMA, BROWNING, CHARRING, FLECKS, NUTS, NUT_BROWNING, PAN_TEMP, SOLIDS, TEMP, WATER, type VesselState } from './layout'

/** Activation energies in J/mol (estimates within published ranges for food browning, 60–130 kJ/mol). */
const AROMA_ENERGY = constant('aromaEnergy')
const NUT_ENERGY = constant('nutEnergy')
const CHARRING_ENERGY = constant('charringEnergy')
const HOTTEST_C = 400
const aromaRate = tabulate(tempC => arrhenius(tempC, AROMA_ENERGY), 60, HOTTEST_C, 0.5)
const nutRate = tabulate(tempC => arrhenius(tempC, NUT_ENERGY), 60, HOTTEST_C, 0.5)
const charringRate = tabulate(tempC => arrhenius(tempC, CHARRING_ENERGY), 60, HOTTEST_C, 0.25)
/** Below this temperature a minute adds less than a second to any dose. */
const IDLE_C = 85
/**
 * The unluckiest grains lie on the pan longer than the film's share: so much nearer to its temperature (estimate). They
 * brown by the aroma's table, whose energy lies within the browning's range.
 */
const LINGERS = constant('lingers')
/** Water over dry solids at which half of the mass is too wet to brown, g/g (estimate). */
const WET = constant('wetBrowning')

/**
 * Adds one step's browning, aroma and charring; the touching share of the mass is nearer to the pan's temperature, and
 * only its dry share browns.
 *
 * @param state the numbers of one vessel, changed in place
 * @param member uncertain numbers
 * @param stepS length of the step in s
 */
export function ripen(state: VesselState, member: MemberValues, stepS: number): void {
  const film = state[TEMP] + member.film * (state[PAN_TEMP] - state[TEMP])
  if (film < IDLE_C) return
  if (state[NUTS] > 0) state[NUT_BROWNING] += nutRate(film) * stepS
  const solids = state[SOLIDS]
  if (!(solids > 0)) return
  const wetness = state[WATER] / solids / WET
  const dryS = stepS / (1 + wetness * wetness)
  state[BROWNING] += arrhenius(film, member.browningEnergy) * dryS
  state[AROMA] += aromaRate(film) * dryS
  if (film <= 120) return
  state[CHARRING] += charringRate(film - 25) * dryS
  const hot = film + LINGERS * (state[PAN_TEMP] - film)
  state[FLECKS] += (member.browningRate * aromaRate(hot) + CHARRING_RATE * charringRate(hot - 25)) * dryS
}
