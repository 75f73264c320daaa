/** One ingredient's part in the finished weight. */
export interface YieldPart {
  readonly perBase: number
  readonly waterShare: number
  /** True for the base, whose own water mostly leaves in the roast. */
  readonly base: boolean
}

/**
 * Finished weight for each gram of base: everything that goes in, less the liquid that does not stay and nine tenths of
 * the base's own moisture. A quick figure for scaling; the forecast gives the better one with its window.
 *
 * @param parts all ingredients
 * @param kept share of the poured water that stays, 0 to 1
 * @returns g of sweet for each g of base
 */
export function finishedShare(parts: readonly YieldPart[], kept: number): number {
  return parts.reduce((sum, part) => {
    const water = part.perBase * part.waterShare
    return sum + part.perBase - water * (part.base ? 0.9 : 1 - kept)
  }, 0)
}
