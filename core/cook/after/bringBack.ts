import { lastOf } from '../../maths/table/itemAt'
import { coolSlab } from '../../process/cooling/coolSlab'
import { slabOf } from '../../process/cooling/slab'
import { constant } from '../../materials/constants/constants'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import type { PanContents } from '../../materials/composition/panContents'
import { requireRange } from '../../requireRange'

/** How it is eaten. */
export const SERVED = ['hot', 'warm', 'room', 'cold'] as const
export type ServedAs = (typeof SERVED)[number]

/** What brings a sweet to the table again. */
export interface BringBack {
  /** Out of the cold so long ahead, s; 0 where it is not in the cold. */
  readonly outAheadS: number
  /** Warmed in a pan: s on the lowest flame, and a spoon of what, g; null where it is not warmed. */
  readonly warmed: {
    readonly seconds: number
    readonly spoonG: number
    readonly spoonOf: 'milk' | 'ghee'
    readonly toC: number
  } | null
}

const COLD_C = 5
/**
 * How warm it is eaten, °C (estimates); what perishes is first brought to the second throughout, whatever it is eaten
 * at (usual advice of food safety authorities for warming again, 70 to 75 °C; recalled, unchecked).
 */
const EATEN_C: Readonly<Record<'hot' | 'warm', number>> = { hot: 65, warm: 48 }
export const THROUGH_C = 75
/** Within how much of the room it has lost its chill, K (estimate). */
const NEAR_ROOM_K = 6
/** Of a low flame's power so much comes into what is warmed (estimate). */
const INTO_FOOD = 0.6
const LOSES = constant('warmingLoses')
const LOSES_FAT = constant('warmingFat')

/**
 * How to bring a portion back: out of the cold early enough to lose its chill, what perishes no longer than its hours;
 * or, where it is wanted warm, warmed straight from the cold with a spoon of what it loses: milk where it is moist,
 * ghee where it is dry. What perishes is warmed through once, and what is left of that is not kept.
 *
 * @param contents of the whole, g
 * @param portionG to be eaten now, g, 1 to 50 000
 * @param served how
 * @param cold whether it stands in the cold
 * @param thickMm of the layer or ball, mm, 2 to 150
 * @param roomC of the room, °C, 8 to 50
 * @param lowW power of the lowest flame mark, W, 20 to 6000
 * @param standsH hours that it may stand outside the cold, all of them together; null where it does not perish so soon
 * @returns what to do, and how long ahead
 * @throws CoreError `out-of-range`
 */
export function bringBack(
  contents: PanContents,
  portionG: number,
  served: ServedAs,
  cold: boolean,
  thickMm: number,
  roomC: number,
  lowW: number,
  standsH: number | null,
): BringBack {
  requireRange('bringBack.portionG', portionG, 1, 50_000)
  requireRange('bringBack.thickMm', thickMm, 2, 150)
  requireRange('bringBack.roomC', roomC, 8, 50)
  requireRange('bringBack.lowW', lowW, 20, 6000)
  const { waterG, solidsG, fatG, sugarG, nutsG } = contents
  const massG = waterG + solidsG + fatG + sugarG + nutsG
  const outAheadS =
    cold && served === 'room'
      ? Math.min(standsH === null ? Infinity : standsH * 3600, chillLostS(contents, thickMm, roomC))
      : 0
  if (served !== 'hot' && served !== 'warm') return { outAheadS, warmed: null }
  const heat =
    (SPECIFIC_HEAT.water * waterG
      + SPECIFIC_HEAT.solids * solidsG
      + SPECIFIC_HEAT.fat * fatG
      + SPECIFIC_HEAT.sugar * sugarG
      + SPECIFIC_HEAT.nuts * nutsG)
    / massG
  const fromC = cold ? COLD_C : roomC
  const toC = standsH === null ? EATEN_C[served] : THROUGH_C
  const seconds = (portionG * heat * Math.max(0, toC - fromC)) / (lowW * INTO_FOOD)
  const moist = waterG / massG > 0.12
  return {
    outAheadS,
    warmed: { seconds, spoonG: portionG * (moist ? LOSES : LOSES_FAT), spoonOf: moist ? 'milk' : 'ghee', toC },
  }
}

/** Warming is cooling with every sign turned. */
function chillLostS(contents: PanContents, thickMm: number, roomC: number): number {
  const slab = slabOf(contents, thickMm, -COLD_C, -roomC)
  return lastOf(coolSlab(slab, -(roomC - NEAR_ROOM_K))).timeS
}
