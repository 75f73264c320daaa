import type { MemberValues } from '../belief/memberValues'
import type { BaseNumbers } from './baseNumbers'
import type { Cover } from './cover'
import { evaporate } from './evaporate'
import { exchangeHeat } from './exchangeHeat'
import { POWER, SOLIDS } from './layout'
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
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param vessel the vessel and the room
 * @param family the base's numbers
 * @param member uncertain numbers
 * @param controls flame and lid
 * @param stepS length of the step in s, 0.05 to 10
 */
export function stepVessel(
  state: Float64Array,
  at: number,
  vessel: VesselConditions,
  family: BaseNumbers,
  member: MemberValues,
  controls: VesselControls,
  stepS: number,
): void {
  const { powerW, lagS, cover } = controls
  state[at + POWER] = lagS > 0 ? powerW + (state[at + POWER] - powerW) * Math.exp(-stepS / lagS) : powerW
  exchangeHeat(state, at, vessel, family, member, cover, stepS)
  evaporate(state, at, vessel, member, cover, stepS)
  if (!(state[at + SOLIDS] > 0)) return ripen(state, at, member, stepS)
  if (family.fresh) softenTissue(state, at, member, stepS)
  takeUpLiquid(state, at, family, member, waterRoomG(state, at, family, member), stepS)
  ripen(state, at, member, stepS)
}
