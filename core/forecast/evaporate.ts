import type { MemberValues } from '../belief/memberValues'
import { saturationPressurePa } from '../water/saturationPressurePa'
import { boilingTempC } from './boilingTempC'
import { heatCapacity, SPECIFIC_HEAT } from './heatCapacity'
import { HELD, TEMP, VAPOUR, VAPOUR_HEAT, WATER } from './layout'
import type { VesselConditions } from './vesselConditions'

/** Latent heat of water at 100 °C, J/g: handbook value. */
export const LATENT_HEAT = 2257
/** How fast heat above the boil turns into vapour: s, in free liquid and inside grain (estimates). */
const FREE_TIME = 6
const GRAIN_TIME = 40
/** g/(s·m²·Pa): h/(ρ·cp) by the Lewis analogy at h = 8 W/(m²·K), times M/(R·T) at 350 K. */
const SURFACE_COEFFICIENT = 4.5e-5
const LID_SHARE = 0.1
/** Share of saturation in the room's air. */
const ROOM_HUMIDITY = 0.55

/**
 * Takes away the water that one step boils or dries off, with the heat it carries. Boiling is limited by the heat
 * above the boiling point; below it the open surface dries by its vapour pressure.
 *
 * @param state flat state, changed in place
 * @param at where the vessel's numbers begin in it
 * @param vessel the vessel and the room
 * @param member uncertain numbers
 * @param lid true with the lid on
 * @param stepS length of the step in s
 */
export function evaporate(
  state: Float64Array,
  at: number,
  vessel: VesselConditions,
  member: MemberValues,
  lid: boolean,
  stepS: number,
): void {
  const water = state[at + WATER]
  if (!(water > 1e-6)) return
  const temp = state[at + TEMP]
  const content = heatCapacity(state, at)
  const free = Math.max(0, water - state[at + HELD])
  const freeShare = free / water
  const boiling = boilingTempC(state, at, vessel.airPressure)
  let gone = 0
  if (temp > boiling) {
    const rate = freeShare / FREE_TIME + (1 - freeShare) / GRAIN_TIME
    gone = content * (temp - boiling) / LATENT_HEAT * (1 - Math.exp(-rate * stepS))
  }
  else if (free > 0) {
    const pressure = saturationPressurePa(temp) - ROOM_HUMIDITY * saturationPressurePa(vessel.airC)
    if (pressure > 0) {
      const area = vessel.baseArea * Math.min(1, freeShare * 3) * member.surface * (lid ? LID_SHARE : 1)
      gone = Math.min(SURFACE_COEFFICIENT * area * pressure * stepS, content * Math.max(0, temp - vessel.airC) * 0.1 / LATENT_HEAT)
    }
  }
  gone = Math.min(gone, water * 0.5)
  removeVapour(state, at, gone, content)
}

function removeVapour(state: Float64Array, at: number, gone: number, content: number): void {
  if (!(gone > 0)) return
  const water = state[at + WATER]
  const temp = state[at + TEMP]
  const free = Math.max(0, water - state[at + HELD])
  state[at + WATER] = water - gone
  if (gone > free) state[at + HELD] -= gone - free
  state[at + VAPOUR] += gone
  const left = content - SPECIFIC_HEAT.water * gone
  state[at + TEMP] = temp - LATENT_HEAT * gone / left
  state[at + VAPOUR_HEAT] += gone * (LATENT_HEAT + SPECIFIC_HEAT.water * temp)
}
