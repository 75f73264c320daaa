import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { BROWNING, CHARRING, type VesselState } from './layout'

/** Darkening by charring per equivalent second at 175 °C, 1/s (estimate: golden to burnt in a few minutes there). */
export const CHARRING_RATE = constant('charringRate')

/**
 * Lightness of the roasted base in its fat: first-order fall towards the darkest by the browning dose and, above about
 * 170 °C, by charring.
 *
 * @param state the numbers of one vessel
 * @param rawLightness L* of the raw base in its fat
 * @param finalLightness L* that endless browning reaches
 * @param member uncertain numbers
 * @returns L*, between final and raw lightness
 */
export function roastLightness(
  state: VesselState,
  rawLightness: number,
  finalLightness: number,
  member: MemberValues,
): number {
  return finalLightness + (rawLightness - finalLightness) * Math.exp(-darkeningDose(state, member))
}

/**
 * How far a base has darkened, browning and charring together.
 *
 * @param state the numbers of one vessel
 * @param member uncertain numbers
 * @returns the dose; one takes away all but 1/e of the lightness there is to lose
 */
export function darkeningDose(state: VesselState, member: MemberValues): number {
  return member.browningRate * state[BROWNING] + CHARRING_RATE * state[CHARRING]
}
