import type { MemberValues } from '../belief/memberValues'
import { heatCapacity } from './heatCapacity'
import { FAT, HELD, NUTS, SOLIDS, SUGAR, TEMP, WATER } from './layout'
import type { Addition } from './program'

/**
 * Puts masses into a vessel and mixes their heat with what is there.
 *
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param addition masses in g; a base follows the member's moisture, its weight unchanged
 * @param tempC temperature of the addition in °C
 * @param member uncertain numbers
 */
export function addToVessel(
  state: Float64Array,
  at: number,
  addition: Addition,
  tempC: number,
  member: MemberValues,
): void {
  const before = heatCapacity(state, at) * state[at + TEMP]
  const dryWet = addition.water + addition.solids
  const water = addition.base ? dryWet * member.baseMoisture : addition.water
  const wasEmpty = !(state[at + WATER] + state[at + SOLIDS] + state[at + FAT] + state[at + SUGAR] + state[at + NUTS] > 0)
  const capacity = heatCapacity(state, at)
  state[at + WATER] += water
  state[at + SOLIDS] += dryWet - water
  state[at + FAT] += addition.fat
  state[at + SUGAR] += addition.sugar
  state[at + NUTS] += addition.nuts
  if (addition.base) state[at + HELD] += water
  const after = heatCapacity(state, at)
  state[at + TEMP] = wasEmpty ? tempC : (before + (after - capacity) * tempC) / after
}
