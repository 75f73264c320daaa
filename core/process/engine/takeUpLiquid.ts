import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { decayed } from '../../maths/table/decayed'
import { tabulate } from '../../maths/table/tabulate'
import type { BaseNumbers } from './baseNumbers'
import { HELD, INVERT, SOLIDS, SUGAR, TEMP, WATER, type VesselState } from './layout'

/** Diffusion of water into cooked starch near 95 °C, m²/s, and the shortest time mixing by hand allows, s. */
const DIFFUSIVITY = constant('starchDiffusivity')
const MIXING_FLOOR = constant('mixingFloor')
/** Gelatinisation: middle in plain water, rise with a saturated sugar solution, width; °C and K. */
const GEL_TEMP = constant('gelTemp')
const GEL_RISE = constant('gelRise')
const GEL_WIDTH = constant('gelWidth')
const opens = tabulate(x => 1 / (1 + Math.exp(-x)), -24, 24, 0.02)

/**
 * Swells the base for one step: diffusion into the grain (t95 = 0.25·R²/D, never faster than mixing allows), gated by
 * gelatinisation, which comes later the more sugar the liquid holds, and limited by what the dish lets it hold. What
 * softened tissue can no longer hold runs out of it at once.
 *
 * @param state the numbers of one vessel, changed in place
 * @param family grain size
 * @param member uncertain numbers
 * @param capacityG water the base can hold as it is now, g
 * @param stepS length of the step in s
 */
export function takeUpLiquid(
  state: VesselState,
  family: BaseNumbers,
  member: MemberValues,
  capacityG: number,
  stepS: number,
): void {
  const held = state[HELD]
  const room = capacityG - held
  if (room < 0) {
    if (family.fresh) state[HELD] = capacityG
    return
  }
  const water = state[WATER]
  const free = water - held
  if (!(free > 0 && room > 0 && state[SOLIDS] > 0)) return
  const sugar = state[SUGAR] + state[INVERT]
  const strength = sugar > 0 ? Math.min(1, sugar / (sugar + water) / 0.675) : 0
  const gate = opens((state[TEMP] - GEL_TEMP - GEL_RISE * strength) / GEL_WIDTH)
  const radius = family.grainRadiusMm / 1000
  const time95 = Math.max(MIXING_FLOOR, 0.25 * radius * radius / DIFFUSIVITY) * member.uptake
  const taken = room * decayed(3 * gate * stepS / time95)
  state[HELD] = held + (taken < free ? taken : free)
}
