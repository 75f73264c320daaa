import { itemAt } from '../../maths/table/itemAt'
import { LATENT_HEAT } from '../../materials/water/latentHeat'
import { requireRange } from '../../requireRange'

/** Specific heat of milk, J/(g·K): handbook 3.9 (recalled, unchecked). */
const MILK_HEAT = 3.9
/** Share of the pan's power that an open milk pan loses to the room at the boil (estimate). */
const LOST = 0.18
/** How far the power of a flame nobody has measured may stray, as a factor each way (estimate, 10–90 %). */
const STRAY = 1.45

/** Minutes to bring milk down, with the span they may take. */
export interface Reducing {
  readonly minutes: number
  readonly early: number
  readonly late: number
  readonly boiledOffG: number
}

/**
 * How long milk takes on a fire until it is thickened to a weight: heat up, then boil the water off.
 *
 * @param fromG milk, g, 20 to 20 000
 * @param toG weight wanted, g; thickened milk is about a fifth, milk for rabri about half
 * @param powerW into the pan on the mark in use, W, 50 to 6000
 * @param startC of the milk, °C, 0 to 100
 * @param stray how far that power may be off, as a factor each way, 10–90 %; that of a flame nobody has measured if
 *   left out
 * @returns minutes, with their 10–90 % span
 * @throws CoreError `out-of-range`
 * @example reduceMilk(1000, 500, 700, 25).minutes // about 41
 */
export function reduceMilk(fromG: number, toG: number, powerW: number, startC: number, stray = STRAY): Reducing {
  requireRange('reduceMilk.fromG', fromG, 20, 20000)
  requireRange('reduceMilk.toG', toG, fromG * 0.12, fromG)
  requireRange('reduceMilk.powerW', powerW, 50, 6000)
  requireRange('reduceMilk.startC', startC, 0, 100)
  const boiledOffG = fromG - toG
  const seconds = (fromG * MILK_HEAT * (100.3 - startC) + boiledOffG * LATENT_HEAT) / (powerW * (1 - LOST))
  const minutes = seconds / 60
  return { minutes, early: minutes / stray, late: minutes * stray, boiledOffG }
}

/**
 * The flame that milk is boiled down on: the lower middle of the ladder, as it catches on more.
 *
 * @param marks of the fire, rising, at least one
 */
export function milkMark<T>(marks: readonly T[]): T {
  return itemAt(marks, Math.floor((marks.length - 1) / 2))
}
