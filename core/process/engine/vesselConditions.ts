import { constant } from '../../materials/constants/constants'
import { baseAreaM2 } from '../../materials/vessel/baseAreaM2'
import { saturationPressurePa } from '../../materials/water/saturationPressurePa'
import { MATERIAL_HEAT, type Vessel } from '../../materials/vessel/vessel'

/** What a step needs to know of a vessel and the room; lengths in m, areas in m², heat in J/K. */
export interface VesselConditions {
  readonly baseArea: number
  readonly wallArea: number
  readonly rim: number
  readonly depth: number
  readonly panHeat: number
  readonly airC: number
  /** Temperature of what goes in, °C. */
  readonly contentC: number
  readonly airPressure: number
  /** Pressure of the vapour in the room's air, Pa. */
  readonly roomVapour: number
}

/** Share of saturation in the room's air (estimate). */
const ROOM_HUMIDITY = constant('roomHumidity')

/**
 * A vessel as the step sees it.
 *
 * @param vessel size in mm, mass in g
 * @param airC temperature of the room in °C
 * @param airPressure pressure of the air in Pa
 * @param contentC temperature of what goes in, °C; the room's where it is left out
 * @returns conditions in SI units
 */
export function vesselConditions(vessel: Vessel, airC: number, airPressure: number, contentC = airC): VesselConditions {
  const rim = Math.PI * vessel.innerDiameterMm / 1000
  return {
    baseArea: baseAreaM2(vessel.innerDiameterMm),
    wallArea: rim * vessel.depthMm / 1000,
    rim,
    depth: vessel.depthMm / 1000,
    panHeat: vessel.massG * MATERIAL_HEAT[vessel.material],
    airC,
    contentC,
    airPressure,
    roomVapour: ROOM_HUMIDITY * saturationPressurePa(airC),
  }
}
