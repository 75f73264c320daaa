import { itemAt } from '../table/itemAt'

/**
 * Quantiles of weighted values, each value standing in the middle of its own weight (Hazen's rule).
 *
 * @param values the values, any unit; Infinity is allowed and sorts last
 * @param weights a weight of zero or more for each value, not all zero
 * @param shares the wanted shares in [0, 1], such as 0.1 for the 10th percentile
 * @returns one value for each share, in the unit of `values`; NaN when there are no values or all weights are zero
 * @example weightedQuantile([1, 2, 3], [1, 1, 1], [0.5]) // [2]
 */
export function weightedQuantile(
  values: ArrayLike<number>,
  weights: ArrayLike<number>,
  shares: readonly number[],
): number[] {
  const order = Array.from({ length: values.length }, (_, i) => i)
    .filter(i => itemAt(weights, i) > 0)
    .sort((i, j) => itemAt(values, i) - itemAt(values, j))
  const total = order.reduce((sum, i) => sum + itemAt(weights, i), 0)
  if (!(total > 0)) return shares.map(() => Number.NaN)
  return shares.map(share => valueAtShare(values, weights, order, share * total))
}

function valueAtShare(
  values: ArrayLike<number>,
  weights: ArrayLike<number>,
  order: readonly number[],
  wanted: number,
): number {
  let below = 0
  let previousMiddle = Number.NaN
  let before: number | null = null
  for (const i of order) {
    const middle = below + itemAt(weights, i) / 2
    const here = itemAt(values, i)
    if (middle >= wanted) {
      if (before === null || !Number.isFinite(here)) return here
      return before + (here - before) * (wanted - previousMiddle) / (middle - previousMiddle)
    }
    below += itemAt(weights, i)
    previousMiddle = middle
    before = here
  }
  return before ?? Number.NaN
}
