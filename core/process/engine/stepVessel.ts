import type { MemberValues } from '../belief/memberValues'
import type { BaseNumbers } from './baseNumbers'
import type { Cover } from './cover'
import { evaporate } from './evaporate'
import { exchangeHeat } from './exchangeHeat'
import { POWER, SOLIDS, type VesselState } from './layout'
import { ripen } from './ripen'
import { softenTissue } from './softenTissue'
import { takeUpLiquid } from './takeUpLiquid'
import type { VesselConditions } from './vesselConditions'
import { waterRoomG } from './waterRoomG'

/** What the cook is doing to one vessel during a step. */
export interface VesselControls {
  /** Heat the flame sends into the pan, W, and how long the fire takes to follow its mark, s. */
  powerW: number
  lagS: number
  cover: Cover
}

/**
 * One step of one vessel under the few laws that every dish shares, in a fixed order: flame, heat, vapour, softening,
 * swelling, ripening.
 *
 * @param state the numbers of one vessel, changed in place
 * @param vessel the vessel and the room
 * @param family the base's numbers
 * @param member uncertain numbers
 * @param controls flame and lid
 * @param stepS length of the step in s, 0.05 to 10
 */
export function stepVessel(
  state: VesselState,
  vessel: VesselConditions,
  family: BaseNumbers,
  member: MemberValues,
  controls: VesselControls,
  stepS: number,
): void {
  const { powerW, lagS, cover } = controls
  state[POWER] = lagS > 0 ? powerW + (state[POWER] - powerW) * Math.exp(-stepS / lagS) : powerW
  exchangeHeat(state, vessel, family, member, cover, stepS)
  evaporate(state, vessel, member, cover, stepS)
  if (!(state[SOLIDS] > 0)) return ripen(state, member, stepS)
  if (family.fresh) softenTissue(state, member, stepS)
  takeUpLiquid(state, family, member, waterRoomG(state, family, member), stepS)
  ripen(state, member, stepS)
}
