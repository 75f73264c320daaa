import type { MemberValues } from '../belief/memberValues'
import { contentMl } from './contentMl'
import { heatCapacity } from './heatCapacity'
import { FAT, HEAT, HELD, PAN_TEMP, TEMP, WATER } from './layout'
import { contentG } from './contentG'
import type { VesselConditions } from './vesselConditions'

/** Share of the wall's film coefficient at the open surface, and what a lid leaves of it. */
const SURFACE_SHARE = 0.7
const LID_SHARE = 0.6

/**
 * Moves heat for one step: fire to pan, pan to content, both to the room. Pan and content are coupled implicitly, so
 * the step is stable at any length; the two-node form and its coefficients are described in docs/model.md.
 *
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param vessel the vessel and the room
 * @param member uncertain numbers
 * @param powerW heat arriving in the pan, W, zero or more
 * @param lid true with the lid on
 * @param stepS length of the step in s, above zero
 */
export function exchangeHeat(
  state: Float64Array,
  at: number,
  vessel: VesselConditions,
  member: MemberValues,
  powerW: number,
  lid: boolean,
  stepS: number,
): void {
  const content = heatCapacity(state, at)
  const mass = contentG(state, at)
  const free = state[at + WATER] - state[at + HELD]
  const liquid = mass > 1 ? Math.min(1, (free + state[at + FAT]) / mass) : 0
  const height = Math.min(vessel.depth, contentMl(state, at) * 1e-6 / vessel.baseArea)
  const touching = mass > 1 ? vessel.baseArea + vessel.rim * height : 0
  const pan = state[at + PAN_TEMP]
  const food = state[at + TEMP]
  const toFood = member.contact * (100 + 900 * liquid) * touching
  const wallLoss = member.heatLoss * vessel.wallArea * (1 + Math.max(0, pan - vessel.airC) / 500)
  const topLoss = mass > 1 ? member.heatLoss * vessel.baseArea * SURFACE_SHARE * (lid ? LID_SHARE : 1) : 0
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
