/** A vessel drawn from the side: a wall and what is in it, as SVG paths. */
export interface VesselShape {
  readonly wall: string
  readonly content: string
  readonly width: number
  readonly height: number
  /** y of the content's surface. */
  readonly level: number
}

/**
 * Draws a straight or tapering vessel and its content.
 *
 * @param topWidth width at the rim, drawing units
 * @param bottomWidth width at the base
 * @param height height
 * @param fill share of the height that is filled, 0 to 1
 * @param at where the rim's left end stands, drawing units
 * @returns paths
 */
export function vesselShape(
  topWidth: number,
  bottomWidth: number,
  height: number,
  fill: number,
  at: { readonly x: number, readonly y: number } = { x: 0, y: 0 },
): VesselShape {
  const inset = (topWidth - bottomWidth) / 2
  const share = Math.min(1, Math.max(0, fill))
  const level = height * (1 - share)
  const edge = inset * (1 - share)
  const x = (value: number): number => Math.round((at.x + value) * 100) / 100
  const y = (value: number): number => Math.round((at.y + value) * 100) / 100
  return {
    wall: `M${x(0)} ${y(0)}L${x(inset)} ${y(height)}H${x(topWidth - inset)}L${x(topWidth)} ${y(0)}`,
    content:
      share > 0
        ? `M${x(edge)} ${y(level)}L${x(inset)} ${y(height)}H${x(topWidth - inset)}L${x(topWidth - edge)} ${y(level)}Z`
        : '',
    width: topWidth,
    height,
    level,
  }
}

/**
 * Share of a tapering vessel's height that a share of its volume fills: a cone's slice, solved for height.
 *
 * @param share share of the volume, 0 to 1
 * @param topMm diameter at the rim
 * @param bottomMm diameter at the base
 * @returns share of the height, 0 to 1
 */
export function heightShare(share: number, topMm: number, bottomMm: number): number {
  const part = Math.min(1, Math.max(0, share))
  const taper = topMm / bottomMm - 1
  if (Math.abs(taper) < 1e-6) return part
  const whole = (1 + taper) ** 3 - 1
  return (Math.cbrt(1 + part * whole) - 1) / taper
}
