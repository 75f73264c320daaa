import { pathRound, type Path } from 'd3-path'

/** Digits of a drawn coordinate. */
const DIGITS = 2

/** Size of an arch: a half circle on two legs, in drawing units. */
export interface ArchShape {
  readonly width: number
  readonly height: number
  /** Thickness of the ring of stones. */
  readonly stone: number
  /** Space kept outside the ring for bands. */
  readonly margin: number
}

/** A point of a drawing. */
export interface ArchPoint { readonly x: number, readonly y: number }

/** Times of an arch, s: each side of the keystone runs at its own even pace. */
export interface ArchTimes { readonly keystoneS: number, readonly endS: number }

/** Geometry of one arch. */
export interface Arch {
  readonly shape: ArchShape
  /** The point at a place along the arch (−1 left foot, 0 crown, 1 right foot), moved outwards by `out`. */
  at(place: number, out: number): ArchPoint
  /** Outline of everything between two places and two distances from the ring's middle. */
  segment(from: number, to: number, inner: number, outer: number): string
  /** Opening inside the ring. */
  readonly opening: { readonly left: number, readonly right: number, readonly top: number, readonly bottom: number }
}

/**
 * Lays out an arch.
 *
 * @param shape sizes in drawing units; the height must leave room for a half circle
 * @returns its geometry; the feet stand at `y = height`
 */
export function archOf(shape: ArchShape): Arch {
  const radius = shape.width / 2 - shape.margin - shape.stone / 2
  const centre = { x: shape.width / 2, y: shape.margin + shape.stone / 2 + radius }
  const leg = Math.max(0, shape.height - centre.y)
  const quarter = Math.PI / 2 * radius
  const side = leg + quarter
  const at = (place: number, out: number): ArchPoint => {
    const along = Math.min(1, Math.abs(place)) * side
    const sign = place < 0 ? -1 : 1
    if (along > quarter) return { x: centre.x + sign * (radius + out), y: centre.y + (along - quarter) }
    const angle = along / radius
    return { x: centre.x + sign * Math.sin(angle) * (radius + out), y: centre.y - Math.cos(angle) * (radius + out) }
  }
  const knee = quarter / side
  const turn = (place: number): number => place * side / radius - Math.PI / 2
  /** Draws one edge from place to place: an arc over the half circle, lines down the legs. */
  const edge = (pen: Path, from: number, to: number, out: number): void => {
    const inside = (place: number): number => Math.min(knee, Math.max(-knee, place))
    const first = at(from, out)
    const last = at(to, out)
    pen.lineTo(first.x, first.y)
    if (inside(from) !== inside(to))
      pen.arc(centre.x, centre.y, radius + out, turn(inside(from)), turn(inside(to)), to < from)
    pen.lineTo(last.x, last.y)
  }
  return {
    shape,
    at,
    segment(from, to, inner, outer) {
      const pen = pathRound(DIGITS)
      const start = at(from, outer)
      pen.moveTo(start.x, start.y)
      edge(pen, from, to, outer)
      edge(pen, to, from, inner)
      pen.closePath()
      return pen.toString()
    },
    opening: {
      left: centre.x - radius + shape.stone / 2,
      right: centre.x + radius - shape.stone / 2,
      top: shape.margin + shape.stone,
      bottom: shape.height,
    },
  }
}

/**
 * Where a moment stands on the arch.
 *
 * @param timeS s since the start
 * @param times keystone and end, s, the end after the keystone
 * @returns −1 (left foot) to 1 (right foot)
 */
export function placeOf(timeS: number, times: ArchTimes): number {
  if (timeS <= times.keystoneS) return times.keystoneS > 0 ? Math.max(-1, timeS / times.keystoneS - 1) : 0
  return Math.min(1, (timeS - times.keystoneS) / Math.max(1, times.endS - times.keystoneS))
}
