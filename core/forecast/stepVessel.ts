import type { MemberValues } from '../belief/memberValues'
import type { Family } from '../family/family'
import { evaporate } from './evaporate'
import { exchangeHeat } from './exchangeHeat'
import { ripen } from './ripen'
import { takeUpLiquid } from './takeUpLiquid'
import type { VesselConditions } from './vesselConditions'

/** What the cook is doing to one vessel during a step. */
export interface VesselControls {
  /** Heat arriving in the pan, W. */
  powerW: number
  lid: boolean
  /** Water the base will hold in the end, g. */
  capacityG: number
}

/**
 * One step of one vessel under the few laws that every dish shares, in a fixed order: heat, vapour, swelling, ripening.
 *
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param vessel the vessel and the room
 * @param family the base's numbers
 * @param member uncertain numbers
 * @param controls flame, lid and the dish's wetness
 * @param stepS length of the step in s, 0.05 to 10
 */
export function stepVessel(
  state: Float64Array,
  at: number,
  vessel: VesselConditions,
  family: Family,
  member: MemberValues,
  controls: VesselControls,
  stepS: number,
): void {
  exchangeHeat(state, at, vessel, member, controls.powerW, controls.lid, stepS)
  evaporate(state, at, vessel, member, controls.lid, stepS)
  takeUpLiquid(state, at, family, member, controls.capacityG, stepS)
  ripen(state, at, member, stepS)
}
