import { requireRange } from '../../requireRange'

/** Drained curds of soured milk, as a share of the milk: 15–20 % (craft); thickened milk about a fifth. */
const CURDS = [0.15, 0.175, 0.2] as const
const THICKENED = [0.18, 0.2, 0.23] as const
/** Lime juice that sours a litre, ml (kitchen rule, estimate). */
const LIME_ML_PER_KG = 25

/** A yield with its span, g. */
export interface MilkYield { readonly early: number, readonly middle: number, readonly late: number }

/**
 * Milk needed for a weight of drained curds or of thickened milk.
 *
 * @param wantedG g, 5 to 5000
 * @param into `curds` by souring and draining, `thickened` by boiling down
 * @returns milk, g: least, middle, most; and for curds the lime juice in ml
 * @throws CoreError `out-of-range`
 */
export function milkFor(wantedG: number, into: 'curds' | 'thickened'): MilkYield & { readonly limeMl: number } {
  requireRange('milkFor.wantedG', wantedG, 5, 5000)
  const [low, middle, high] = into === 'curds' ? CURDS : THICKENED
  const milk = wantedG / middle
  return {
    early: wantedG / high,
    middle: milk,
    late: wantedG / low,
    limeMl: into === 'curds' ? (milk / 1000) * LIME_ML_PER_KG : 0,
  }
}
