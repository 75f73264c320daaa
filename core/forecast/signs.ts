import type { MemberValues } from '../belief/memberValues'
import { TIMED_SIGNS, type ColourStep, type SignId } from '../dish/signIds'
import type { Family } from '../family/family'
import { AROMA, BROWNING, HELD, NUTS, NUT_BROWNING, SOLIDS, TEMP, WATER } from './layout'
import { roastLightness } from './roastLightness'

/** Everything a cook can see or smell that the forecast times, in the order the ensemble keeps it. */
export const SIGNS: readonly SignId[] = TIMED_SIGNS

/** Index of the boil, the one sign that belongs to the other vessel. */
export const BOIL = SIGNS.indexOf('boil')

/** Share of the pan's water that still runs free at each of the two wet signs (estimates). */
const FREE_AT_TAKEN_UP = 0.12
const FREE_AT_DONE = 0.02
const NOT_YET = -1e9

/**
 * How far a sign of the main vessel is from showing: below zero before, zero as it shows, above after.
 *
 * @param sign index into `SIGNS`
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @param family colours of the base
 * @param member uncertain numbers
 * @param poured true once the liquid is in
 * @returns a level in the sign's own unit (L*, s, share of the water)
 */
export function signLevel(
  sign: number,
  state: Float64Array,
  at: number,
  family: Family,
  member: MemberValues,
  poured: boolean,
): number {
  const id = SIGNS[sign]
  if (id === 'nuts-golden') return state[at + NUTS] > 0 ? state[at + NUT_BROWNING] - member.nutDose : NOT_YET
  if (id === 'boil' || !(state[at + SOLIDS] > 0)) return NOT_YET
  if (id === 'aroma') return state[at + AROMA] - member.aromaDose
  if (id === 'taken-up' || id === 'leaves-sides') return poured ? wetLevel(id, state, at) : NOT_YET
  if (poured || !(state[at + BROWNING] > 0)) return NOT_YET
  return family.stepLightness[id as ColourStep] + member.eye - roastLightness(state, at, family, member)
}

function wetLevel(id: 'taken-up' | 'leaves-sides', state: Float64Array, at: number): number {
  if (state[at + TEMP] < 60) return NOT_YET
  const free = 1 - state[at + HELD] / state[at + WATER]
  return (id === 'taken-up' ? FREE_AT_TAKEN_UP : FREE_AT_DONE) - free
}
