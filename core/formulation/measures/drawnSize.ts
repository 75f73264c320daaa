/** Rim, base and height of a vessel as it is drawn, mm. */
export interface DrawnSize { readonly topMm: number, readonly bottomMm: number, readonly heightMm: number }

/**
 * A likely shape of a cup or spoon of a volume, for drawing it to scale: a cup a little taller than wide that narrows
 * to three quarters at its base, a spoon four times as wide as deep (both estimates).
 *
 * @param volumeMl volume in ml, 1 to 5000
 * @param kind cup or spoon
 * @returns sizes in mm whose cone holds the volume
 */
export function drawnSize(volumeMl: number, kind: 'cup' | 'spoon'): DrawnSize {
  const taper = kind === 'cup' ? 0.76 : 0.55
  const slender = kind === 'cup' ? 1.1 : 0.26
  const coneShare = (1 + taper + taper * taper) / 12 * Math.PI
  const top = Math.cbrt(volumeMl * 1000 / (coneShare * slender))
  const round = (mm: number): number => Math.round(mm * 10) / 10
  return { topMm: round(top), bottomMm: round(top * taper), heightMm: round(top * slender) }
}
