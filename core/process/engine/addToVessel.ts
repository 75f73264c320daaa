import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { contentG } from './contentG'
import { heatCapacity } from './heatCapacity'
import { FAT, HELD, INVERT, NUTS, SOLIDS, SUGAR, TEMP, WATER, WETTED, type VesselState } from './layout'
import type { Addition } from './program'

/** Share of its water that swollen grain gives up to a saturated sugar solution (estimate): the mass runs again. */
const DRAWN_OUT = constant('drawnOut')
const SATURATED = constant('saturated')
/** Water over dry solids that sugar leaves in it (estimate). */
const KEPT_FROM_SUGAR = constant('keptFromSugar')

/**
 * Puts masses into a vessel and mixes their heat with what is there.
 *
 * @param state the numbers of one vessel, changed in place
 * @param addition masses in g; a dry base follows the member's moisture, its weight unchanged
 * @param tempC temperature of the addition in °C
 * @param member uncertain numbers
 */
export function addToVessel(
  state: VesselState,
  addition: Addition,
  tempC: number,
  member: MemberValues,
): void {
  const dryWet = addition.water + addition.solids
  const water = addition.dry ? dryWet * member.baseMoisture : addition.water
  const wasEmpty = !(contentG(state) > 0)
  const capacity = heatCapacity(state)
  const before = capacity * state[TEMP]
  state[WATER] += water
  state[SOLIDS] += dryWet - water
  state[FAT] += addition.fat
  state[SUGAR] += addition.sugar
  state[INVERT] += addition.invert
  state[NUTS] += addition.nuts
  if (addition.base) state[HELD] += water
  if (!addition.dry) state[WETTED] += water
  const after = heatCapacity(state)
  state[TEMP] = wasEmpty ? tempC : (before + (after - capacity) * tempC) / after
  if (!addition.base && addition.sugar + addition.invert > 0) drawOut(state)
}

/**
 * Sugar draws water out of swollen grain: what it holds falls with the strength of the liquid about it, though never
 * below what is bound.
 */
function drawOut(state: VesselState): void {
  const held = state[HELD]
  const loose = held - KEPT_FROM_SUGAR * state[SOLIDS]
  if (!(state[SOLIDS] > 0 && loose > 0)) return
  const sugar = state[SUGAR] + state[INVERT]
  const strength = Math.min(1, sugar / (sugar + state[WATER]) / SATURATED)
  state[HELD] = held - Math.min(loose, DRAWN_OUT * strength * held)
}
