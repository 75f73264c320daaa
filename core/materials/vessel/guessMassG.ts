import { baseAreaM2 } from './baseAreaM2'
import type { Material } from './vessel'

/** Weight of wall per area, g/m²: density by the usual wall thickness of household pans (estimate, spread 35 %). */
const WALL_G_PER_M2: Readonly<Record<Material, number>> = {
  'steel': 13000,
  'aluminium': 8800,
  'cast-iron': 29000,
  'copper': 17000,
  'clay': 17000,
}

/**
 * A first guess of a pan's weight from its size and material, for a household that has not weighed it.
 *
 * @param innerDiameterMm inner diameter in mm
 * @param depthMm depth in mm
 * @param material what it is made of
 * @returns weight in g, rounded to 10 g; one standard deviation is about 35 %
 * @example guessMassG(260, 70, 'steel') // about 1430
 */
export function guessMassG(innerDiameterMm: number, depthMm: number, material: Material): number {
  const wall = Math.PI * innerDiameterMm / 1000 * depthMm / 1000
  return Math.round((baseAreaM2(innerDiameterMm) + wall) * WALL_G_PER_M2[material] / 10) * 10
}
