import { itemAt, lastOf } from '../../maths/table/itemAt'
import type { Lab } from './lab'

/**
 * The colour at a lightness on a base's browning path, straight between the path's points.
 *
 * @param path points of falling lightness, at least one
 * @param lightness wanted L*, 0 to 100; beyond the ends the end point's a* and b* are kept
 * @returns the colour with exactly that lightness
 * @example labOnPath(SEMOLINA.path, 70)
 */
export function labOnPath(path: readonly Lab[], lightness: number): Lab {
  const below = path.findIndex(point => point.lightness <= lightness)
  if (below === 0) return { ...itemAt(path, 0), lightness }
  if (below < 0) return { ...lastOf(path), lightness }
  const upper = itemAt(path, below - 1)
  const lower = itemAt(path, below)
  const share = (upper.lightness - lightness) / (upper.lightness - lower.lightness)
  return {
    lightness,
    a: upper.a + share * (lower.a - upper.a),
    b: upper.b + share * (lower.b - upper.b),
  }
}
