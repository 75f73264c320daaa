import { firstBelief } from '../../core/process/belief/firstBelief'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../../core/process/belief/memberValues'
import { SEMOLINA } from '../../core/formulation/family/semolina'
import { exchangeHeat } from '../../core/process/engine/exchangeHeat'
import {
  FAT,
  HELD,
  NUTS,
  PAN_TEMP,
  POWER,
  SOLIDS,
  SUGAR,
  TEMP,
  WATER,
  vesselState,
  type VesselState,
} from '../../core/process/engine/layout'
import { vesselConditions } from '../../core/process/engine/vesselConditions'

/** The middle of the first belief, and a wide steel pan by the sea. */
export const member = memberValues(beliefColumns(firstBelief()), new Float64Array(MEMBER_NAMES.length), 0)
export const vessel = vesselConditions(
  { innerDiameterMm: 260, depthMm: 75, massG: 1300, material: 'steel' },
  27,
  101325,
)

/** A pan with given contents at one temperature. */
export function pan(
  contents: Partial<Record<'water' | 'held' | 'solids' | 'fat' | 'sugar' | 'nuts', number>>,
  tempC: number,
): VesselState {
  const made = vesselState()
  made[PAN_TEMP] = tempC
  made[TEMP] = tempC
  made[WATER] = contents.water ?? 0
  made[HELD] = contents.held ?? 0
  made[SOLIDS] = contents.solids ?? 0
  made[FAT] = contents.fat ?? 0
  made[SUGAR] = contents.sugar ?? 0
  made[NUTS] = contents.nuts ?? 0
  return made
}

/** One step of heat alone with a given power into the pan. */
export function heated(
  own: VesselState,
  powerW: number,
  cover: Parameters<typeof exchangeHeat>[4],
  stepS: number,
): void {
  own[POWER] = powerW
  exchangeHeat(own, vessel, SEMOLINA, member, cover, stepS)
}
