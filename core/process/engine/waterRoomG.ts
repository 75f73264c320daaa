import type { MemberValues } from '../belief/memberValues'
import type { BaseNumbers } from './baseNumbers'
import { SOFT, SOLIDS, WETTED, type VesselState } from './layout'

/**
 * Water a base can hold as it is now. In the end that is the share of the dish's water which stays (its own and its
 * household's taste); raw tissue holds all of its water and lets it go as it softens.
 *
 * @param state the numbers of one vessel
 * @param family most water a grain can hold, and whether it is fresh
 * @param member share that stays
 * @returns g
 */
export function waterRoomG(state: VesselState, family: BaseNumbers, member: MemberValues): number {
  const wetted = state[WETTED]
  const room = family.fresh ? wetted * (1 - state[SOFT] * (1 - member.kept)) : wetted * member.kept
  const most = family.mostWaterPerSolids * state[SOLIDS]
  return !family.fresh && room > most ? most : room
}
