import { itemAt } from '../table/itemAt'
import type { Point, Polygon } from './point'
import { polygonArea } from './polygonArea'

/**
 * Area of the part of a polygon that lies in a rectangle about the origin, by cutting it at one side after the other
 * (Sutherland and Hodgman 1974).
 *
 * @param polygon corners in order, mm
 * @param widthMm of the rectangle along x, above zero
 * @param lengthMm along y, above zero
 * @returns mm²
 * @example areaInRectangle([{ x: 0, y: 0 }, { x: 9, y: 0 }, { x: 9, y: 9 }, { x: 0, y: 9 }], 10, 10) // 25
 */
export function areaInRectangle(polygon: Polygon, widthMm: number, lengthMm: number): number {
  const sides: readonly ((p: Point) => number)[] = [
    p => widthMm / 2 - p.x,
    p => widthMm / 2 + p.x,
    p => lengthMm / 2 - p.y,
    p => lengthMm / 2 + p.y,
  ]
  return polygonArea(sides.reduce(keepInside, polygon))
}

/** Keeps what lies where `inside` is zero or more. */
function keepInside(polygon: Polygon, inside: (p: Point) => number): Polygon {
  return polygon.flatMap((p, i) => {
    const q = itemAt(polygon, (i + 1) % polygon.length)
    const [here, there] = [inside(p), inside(q)]
    const kept = here >= 0 ? [p] : []
    if (here * there >= 0) return kept
    const part = here / (here - there)
    return [...kept, { x: p.x + (q.x - p.x) * part, y: p.y + (q.y - p.y) * part }]
  })
}
