import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { saturationTempC } from '../../materials/water/saturationTempC'
import { decayed } from '../../maths/table/decayed'
import { tabulate } from '../../maths/table/tabulate'
import { vapourPressureAt } from '../../materials/water/vapourPressureAt'
import { LATENT_HEAT } from '../../materials/water/latentHeat'
import { LID, SEALED, VALVE_PA, type Cover } from './cover'
import { heatCapacity } from './heatCapacity'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { HELD, TEMP, VAPOUR, VAPOUR_HEAT, WATER, type VesselState } from './layout'
import type { VesselConditions } from './vesselConditions'
import { waterActivity } from './waterActivity'

/** How fast heat above the boil turns into vapour: s, in free liquid and inside grain (estimates). */
const FREE_TIME = constant('boilsOffFree')
const GRAIN_TIME = constant('boilsOffGrain')
/** g/(s·m²·Pa): h/(ρ·cp) by the Lewis analogy at h = 8 W/(m²·K), times M/(R·T) at 350 K. */
const SURFACE_COEFFICIENT = constant('surfaceCoefficient')
const LID_SHARE = constant('lidDries')
/** Below the first the surface dries too little to matter in a cook, above the second in full, °C. */
const IDLE_C = 30
const WARM_C = 45
const boilsAt = tabulate(saturationTempC, 20_000, 4_800_000, 1500)

/**
 * Takes away the water that one step boils or dries off, with the heat it carries. Boiling is limited by the heat
 * above the boiling point; below it the open surface dries by its vapour pressure. A sealed lid boils at the valve's
 * pressure and lets nothing go below it.
 *
 * @param state the numbers of one vessel, changed in place
 * @param vessel the vessel and the room
 * @param member uncertain numbers
 * @param cover open, a lid, or sealed
 * @param stepS length of the step in s
 */
export function evaporate(
  state: VesselState,
  vessel: VesselConditions,
  member: MemberValues,
  cover: Cover,
  stepS: number,
): void {
  const water = state[WATER]
  const temp = state[TEMP]
  if (!(water > 1e-6 && temp > IDLE_C)) return
  const activity = waterActivity(state)
  const pressure = activity * vapourPressureAt(temp)
  const air = cover === SEALED ? vessel.airPressure + VALVE_PA : vessel.airPressure
  const free = water - state[HELD]
  let gone = 0
  const content = heatCapacity(state)
  if (pressure > air) {
    const freeShare = free > 0 ? free / water : 0
    const rate = freeShare / FREE_TIME + (1 - freeShare) / GRAIN_TIME
    gone = content * (temp - boilsAt(air / activity)) / LATENT_HEAT * decayed(rate * stepS)
  }
  if (free > 0 && cover !== SEALED) {
    const drive = pressure - vessel.roomVapour
    if (drive > 0) {
      const area = vessel.baseArea * Math.min(1, free / water * 3) * member.surface * (cover === LID ? LID_SHARE : 1)
      const warm = temp < WARM_C ? (temp - IDLE_C) / (WARM_C - IDLE_C) : 1
      // A boiling surface dries no less than a hot one: the greater of the two.
      gone = Math.max(
        gone,
        Math.min(
          SURFACE_COEFFICIENT * area * drive * warm * stepS,
          (content * Math.max(0, temp - vessel.airC) * 0.1) / LATENT_HEAT,
        ),
      )
    }
  }
  if (gone > 0) removeVapour(state, Math.min(gone, water * 0.5), content)
}

function removeVapour(state: VesselState, gone: number, content: number): void {
  const water = state[WATER]
  const temp = state[TEMP]
  const free = Math.max(0, water - state[HELD])
  state[WATER] = water - gone
  if (gone > free) state[HELD] -= gone - free
  state[VAPOUR] += gone
  const left = content - SPECIFIC_HEAT.water * gone
  state[TEMP] = temp - LATENT_HEAT * gone / left
  state[VAPOUR_HEAT] += gone * (LATENT_HEAT + SPECIFIC_HEAT.water * temp)
}
