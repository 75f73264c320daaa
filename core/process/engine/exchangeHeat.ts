import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import type { BaseNumbers } from './baseNumbers'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import type { Cover } from './cover'
import { heatCapacity } from './heatCapacity'
import { FAT, HEAT, HELD, PAN_TEMP, POWER, TEMP, WATER, type VesselState } from './layout'
import type { VesselConditions } from './vesselConditions'

/** Share of the wall's film coefficient at the open surface, and what a lid leaves of it. */
const SURFACE_SHARE = constant('topLoss')
const LID_SHARE = constant('lidLoss')

/** 0 °C in K. */
const KELVIN = 273.15
/** From where radiation outgrows what the film coefficients hold of it, °C, and how much a pan radiates (estimates). */
const GLOWS_C = constant('glowsFrom')
const EMISSIVITY = constant('emissivity')
/** Food gets no hotter: it chars and its fat is alight, °C. */
const DECOMPOSES_C = constant('decomposes')
/** W/(m²·K⁴): Stefan and Boltzmann. */
const RADIATION = 5.67e-8

/**
 * What a very hot pan radiates beyond its film coefficient, as a conductance to the room, W/K: the fourth power less
 * its tangent where it sets in. It is what keeps an empty pan on a flame from getting hotter than pans get.
 */
function glow(panC: number, vessel: VesselConditions): number {
  if (!(panC > GLOWS_C)) return 0
  const [hot, from] = [panC + KELVIN, GLOWS_C + KELVIN]
  const beyond = hot ** 4 - from ** 4 - 4 * from ** 3 * (hot - from)
  return EMISSIVITY * RADIATION * (vessel.wallArea + vessel.baseArea) * beyond / (panC - vessel.airC)
}

/**
 * Moves heat for one step: fire to pan, pan to content, both to the room. Pan and content are coupled implicitly, so
 * the step is stable at any length; the two-node form and its coefficients are described in docs/model.md.
 *
 * @param state the numbers of one vessel, changed in place; its POWER is the heat arriving in the pan, W
 * @param vessel the vessel and the room
 * @param family voids of the base
 * @param member uncertain numbers
 * @param cover open, a lid, or sealed
 * @param stepS length of the step in s, above zero
 */
export function exchangeHeat(
  state: VesselState,
  vessel: VesselConditions,
  family: BaseNumbers,
  member: MemberValues,
  cover: Cover,
  stepS: number,
): void {
  const content = heatCapacity(state)
  const mass = contentG(state)
  const pan = state[PAN_TEMP]
  const food = state[TEMP]
  let toFood = 0
  let topLoss = 0
  if (mass > 1) {
    const liquid = Math.min(1, (state[WATER] - state[HELD] + state[FAT]) / mass)
    const height = Math.min(vessel.depth, contentMl(state, family) * 1e-6 / vessel.baseArea)
    toFood = member.contact * (100 + 900 * liquid) * (vessel.baseArea + vessel.rim * height)
    topLoss = member.heatLoss * vessel.baseArea * SURFACE_SHARE * (cover > 0 ? LID_SHARE : 1)
  }
  const powerW = state[POWER]
  const wallLoss = member.heatLoss * vessel.wallArea * (1 + Math.max(0, pan - vessel.airC) / 500) + glow(pan, vessel)
  const panHeat = vessel.panHeat * member.panMass / stepS
  const foodHeat = content / stepS
  const a11 = panHeat + wallLoss + toFood
  const a22 = foodHeat + topLoss + toFood
  const b1 = panHeat * pan + powerW + wallLoss * vessel.airC
  const b2 = foodHeat * food + topLoss * vessel.airC
  const det = a11 * a22 - toFood * toFood
  const panAfter = (b1 * a22 + toFood * b2) / det
  // What decomposes takes up the heat that would warm it further.
  const warmed = (a11 * b2 + toFood * b1) / det
  const foodAfter = Math.min(warmed, DECOMPOSES_C)
  state[PAN_TEMP] = panAfter
  state[TEMP] = foodAfter
  state[HEAT] +=
    (powerW - wallLoss * (panAfter - vessel.airC) - topLoss * (warmed - vessel.airC)) * stepS
    - content * (warmed - foodAfter)
}
