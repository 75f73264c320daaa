import { requireRange } from '../../requireRange'

/** Density of water, g/ml, at the temperature of a kitchen tap, 15–25 °C: handbook value within 0.1 %. */
const WATER_DENSITY = 0.998

/**
 * Volume of a cup found by weighing it empty and full of water.
 *
 * @param emptyG weight of the empty cup in g, 0 to 20 000
 * @param fullG weight of the cup full of water in g, above `emptyG` by at least 1 g, at most 25 000
 * @returns volume in ml
 * @throws CoreError `out-of-range`
 * @example cupVolumeMl(212, 391.6) // 180
 */
export function cupVolumeMl(emptyG: number, fullG: number): number {
  requireRange('cupVolumeMl.emptyG', emptyG, 0, 20000)
  requireRange('cupVolumeMl.fullG', fullG, emptyG + 1, 25000)
  return (fullG - emptyG) / WATER_DENSITY
}
