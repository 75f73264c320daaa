import { itemAt } from '../table/itemAt'
import type { Polygon } from './point'

/**
 * Area of a polygon by the surveyor's formula.
 *
 * @param polygon corners in order, mm; fewer than three have no area
 * @returns mm², zero or more
 * @example polygonArea([{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 0, y: 3 }]) // 6
 */
export function polygonArea(polygon: Polygon): number {
  let twice = 0
  polygon.forEach((p, i) => {
    const q = itemAt(polygon, (i + 1) % polygon.length)
    twice += p.x * q.y - q.x * p.y
  })
  return Math.abs(twice) / 2
}
