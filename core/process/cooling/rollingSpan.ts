import { constant } from '../../materials/constants/constants'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import type { Window } from '../../maths/random/window'
import type { PanContents } from '../../materials/composition/panContents'
import { requireRange } from '../../requireRange'
import { baseAreaM2 } from '../../materials/vessel/baseAreaM2'
import { MATERIAL_HEAT, type Vessel } from '../../materials/vessel/vessel'

/** When a mass can be rolled, s from now. */
export interface RollingSpan {
  /** It is hand-warm. */
  readonly from: Window
  /** It has grown too stiff; null where the room is warmer than that. */
  readonly until: Window | null
}

const HAND_WARM_C = constant('handWarm')
const STIFF_C = constant('tooStiff')
const SURFACE_SHARE = constant('topLoss')
/** Spread of both temperatures, K, and of the loss, share (80 % of a belief of 20 %). */
const OFF_K = 3
const LOSS_OFF = 0.25

/**
 * When a mass that stands in its pan off the fire can be rolled: it and the pan cool together towards the room, by the
 * losses of the forecast's own energy balance (docs/model.md), the wall's and the open surface's.
 *
 * @param contents masses, g
 * @param vessel it stands in
 * @param startC it has now, °C, 20 to 180
 * @param airC of the room, °C, −20 to 50
 * @param lossW film coefficient, W/(m²·K), 4 to 40: `heatLoss` of the belief
 * @returns the span
 * @throws CoreError `out-of-range`
 */
export function rollingSpan(
  contents: PanContents,
  vessel: Vessel,
  startC: number,
  airC: number,
  lossW: number,
): RollingSpan {
  requireRange('rollingSpan.startC', startC, 20, 180)
  requireRange('rollingSpan.airC', airC, -20, 50)
  requireRange('rollingSpan.lossW', lossW, 4, 40)
  const tauS = coolingTimeS(contents, vessel, lossW)
  const comes = (toC: number, share: number): number =>
    startC <= toC ? 0 : toC <= airC ? Infinity : (tauS / share) * Math.log((startC - airC) / (toC - airC))
  const window = (toC: number): Window => ({
    early: comes(toC + OFF_K, 1 + LOSS_OFF),
    middle: comes(toC, 1),
    late: comes(toC - OFF_K, 1 - LOSS_OFF),
  })
  const stiff = window(STIFF_C)
  const last = Number.isFinite(stiff.late) ? stiff.late : 2 * stiff.middle
  return { from: finite(window(HAND_WARM_C)), until: Number.isFinite(stiff.middle) ? { ...stiff, late: last } : null }
}

/** A room so warm that a limit is never met counts as four hours. */
function finite({ early, middle, late }: Window): Window {
  const most = 4 * 3600
  return { early: Math.min(early, most), middle: Math.min(middle, most), late: Math.min(late, most) }
}

/**
 * Time constant of a mass and its pan cooling together off the fire.
 *
 * @param contents masses, g
 * @param vessel it stands in
 * @param lossW film coefficient, W/(m²·K)
 * @returns s
 */
export function coolingTimeS(contents: PanContents, vessel: Vessel, lossW: number): number {
  const { waterG, solidsG, fatG, sugarG, nutsG } = contents
  const heat =
    SPECIFIC_HEAT.water * waterG
    + SPECIFIC_HEAT.solids * solidsG
    + SPECIFIC_HEAT.fat * fatG
    + SPECIFIC_HEAT.sugar * sugarG
    + SPECIFIC_HEAT.nuts * nutsG
  const wall = Math.PI * vessel.innerDiameterMm * vessel.depthMm / 1e6
  return (
    (heat + vessel.massG * MATERIAL_HEAT[vessel.material])
    / (lossW * (wall + SURFACE_SHARE * baseAreaM2(vessel.innerDiameterMm)))
  )
}
