import { constant } from '../constants/constants'
import type { MemberValues } from '../belief/memberValues'
import type { BaseNumbers } from './baseNumbers'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import type { Cover } from './cover'
import { heatCapacity } from './heatCapacity'
import { FAT, HEAT, HELD, PAN_TEMP, POWER, TEMP, WATER } from './layout'
import type { VesselConditions } from './vesselConditions'

/** Share of the wall's film coefficient at the open surface, and what a lid leaves of it. */
const SURFACE_SHARE = constant('topLoss')
const LID_SHARE = constant('lidLoss')

/**
 * Moves heat for one step: fire to pan, pan to content, both to the room. Pan and content are coupled implicitly, so
 * the step is stable at any length; the two-node form and its coefficients are described in docs/model.md.
 *
 * @param state flat state, changed in place; its POWER is the heat arriving in the pan, W
 * @param at where the vessel's numbers begin in it
 * @param vessel the vessel and the room
 * @param family voids of the base
 * @param member uncertain numbers
 * @param cover open, a lid, or sealed
 * @param stepS length of the step in s, above zero
 */
export function exchangeHeat(
  state: Float64Array,
  at: number,
  vessel: VesselConditions,
  family: BaseNumbers,
  member: MemberValues,
  cover: Cover,
  stepS: number,
): void {
  const content = heatCapacity(state, at)
  const mass = contentG(state, at)
  const pan = state[at + PAN_TEMP]
  const food = state[at + TEMP]
  let toFood = 0
  let topLoss = 0
  if (mass > 1) {
    const liquid = Math.min(1, (state[at + WATER] - state[at + HELD] + state[at + FAT]) / mass)
    const height = Math.min(vessel.depth, contentMl(state, at, family) * 1e-6 / vessel.baseArea)
    toFood = member.contact * (100 + 900 * liquid) * (vessel.baseArea + vessel.rim * height)
    topLoss = member.heatLoss * vessel.baseArea * SURFACE_SHARE * (cover > 0 ? LID_SHARE : 1)
  }
  const powerW = state[at + POWER]
  const wallLoss = member.heatLoss * vessel.wallArea * (1 + Math.max(0, pan - vessel.airC) / 500)
  const panHeat = vessel.panHeat * member.panMass / stepS
  const foodHeat = content / stepS
  const a11 = panHeat + wallLoss + toFood
  const a22 = foodHeat + topLoss + toFood
  const b1 = panHeat * pan + powerW + wallLoss * vessel.airC
  const b2 = foodHeat * food + topLoss * vessel.airC
  const det = a11 * a22 - toFood * toFood
  const panAfter = (b1 * a22 + toFood * b2) / det
  const foodAfter = (a11 * b2 + toFood * b1) / det
  state[at + PAN_TEMP] = panAfter
  state[at + TEMP] = foodAfter
  state[at + HEAT] += (powerW - wallLoss * (panAfter - vessel.airC) - topLoss * (foodAfter - vessel.airC)) * stepS
}
