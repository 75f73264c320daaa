import { itemAt } from '../table/itemAt'
import type { Point, Polygon } from './point'

/**
 * Area of the part of a polygon that lies in a circle about the origin: exactly, as the sum over its edges of what the
 * triangle to the centre shares with the circle, triangle where the edge runs inside and sector where it runs outside.
 *
 * @param polygon corners in order, mm
 * @param radiusMm of the circle, above zero
 * @returns mm²
 * @example areaInCircle([{ x: 0, y: 0 }, { x: 99, y: 0 }, { x: 99, y: 99 }, { x: 0, y: 99 }], 10) // 25π
 */
export function areaInCircle(polygon: Polygon, radiusMm: number): number {
  let sum = 0
  polygon.forEach((p, i) => {
    sum += edgeArea(p, itemAt(polygon, (i + 1) % polygon.length), radiusMm)
  })
  return Math.abs(sum)
}

/** Signed area that the triangle of the centre and one edge shares with the circle. */
function edgeArea(p: Point, q: Point, radius: number): number {
  const along = { x: q.x - p.x, y: q.y - p.y }
  const a = along.x ** 2 + along.y ** 2
  if (!(a > 0)) return 0
  const b = p.x * along.x + p.y * along.y
  const root = b * b - a * (p.x ** 2 + p.y ** 2 - radius * radius)
  if (!(root > 0)) return sector(p, q, radius)
  const [enter, leave] = [(-b - Math.sqrt(root)) / a, (-b + Math.sqrt(root)) / a]
  if (leave <= 0 || enter >= 1) return sector(p, q, radius)
  const at = (part: number): Point => ({ x: p.x + along.x * part, y: p.y + along.y * part })
  // Ends that lie inside are taken as they are: near the centre a rounded one would point anywhere.
  const first = enter > 0 ? at(enter) : p
  const last = leave < 1 ? at(leave) : q
  const outside = (enter > 0 ? sector(p, first, radius) : 0) + (leave < 1 ? sector(last, q, radius) : 0)
  return outside + (first.x * last.y - last.x * first.y) / 2
}

function sector(p: Point, q: Point, radius: number): number {
  return radius * radius / 2 * Math.atan2(p.x * q.y - q.x * p.y, p.x * q.x + p.y * q.y)
}
