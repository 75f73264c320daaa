import type { MemberValues } from '../belief/memberValues'
import type { BaseNumbers } from './baseNumbers'
import { SOFT, SOLIDS, WETTED } from './layout'

/**
 * Water a base can hold as it is now. In the end that is the share of the dish's water which stays (its own and its
 * household's taste); raw tissue holds all of its water and lets it go as it softens.
 *
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @param family most water a grain can hold, and whether it is fresh
 * @param member share that stays
 * @returns g
 */
export function waterRoomG(state: Float64Array, at: number, family: BaseNumbers, member: MemberValues): number {
  const wetted = state[at + WETTED]
  const room = family.fresh ? wetted * (1 - state[at + SOFT] * (1 - member.kept)) : wetted * member.kept
  const most = family.mostWaterPerSolids * state[at + SOLIDS]
  return !family.fresh && room > most ? most : room
}
