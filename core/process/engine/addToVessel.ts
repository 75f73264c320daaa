import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { contentG } from './contentG'
import { heatCapacity } from './heatCapacity'
import { FAT, HELD, INVERT, NUTS, SOLIDS, SUGAR, TEMP, WATER, WETTED } from './layout'
import type { Addition } from './program'

/** Share of its water that swollen grain gives up to a saturated sugar solution (estimate): the mass runs again. */
const DRAWN_OUT = constant('drawnOut')
const SATURATED = constant('saturated')
/** Water over dry solids that sugar leaves in it (estimate). */
const KEPT_FROM_SUGAR = constant('keptFromSugar')

/**
 * Puts masses into a vessel and mixes their heat with what is there.
 *
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param addition masses in g; a dry base follows the member's moisture, its weight unchanged
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
  const dryWet = addition.water + addition.solids
  const water = addition.dry ? dryWet * member.baseMoisture : addition.water
  const wasEmpty = !(contentG(state, at) > 0)
  const capacity = heatCapacity(state, at)
  const before = capacity * state[at + TEMP]
  state[at + WATER] += water
  state[at + SOLIDS] += dryWet - water
  state[at + FAT] += addition.fat
  state[at + SUGAR] += addition.sugar
  state[at + INVERT] += addition.invert
  state[at + NUTS] += addition.nuts
  if (addition.base) state[at + HELD] += water
  if (!addition.dry) state[at + WETTED] += water
  const after = heatCapacity(state, at)
  state[at + TEMP] = wasEmpty ? tempC : (before + (after - capacity) * tempC) / after
  if (!addition.base && addition.sugar + addition.invert > 0) drawOut(state, at)
}

/**
 * Sugar draws water out of swollen grain: what it holds falls with the strength of the liquid about it, though never
 * below what is bound.
 */
function drawOut(state: Float64Array, at: number): void {
  const held = state[at + HELD]
  const loose = held - KEPT_FROM_SUGAR * state[at + SOLIDS]
  if (!(state[at + SOLIDS] > 0 && loose > 0)) return
  const sugar = state[at + SUGAR] + state[at + INVERT]
  const strength = Math.min(1, sugar / (sugar + state[at + WATER]) / SATURATED)
  state[at + HELD] = held - Math.min(loose, DRAWN_OUT * strength * held)
}
