import { itemAt } from '../table/itemAt'

/**
 * Indices drawn by their weights at even steps (systematic resampling): an index of twice the weight comes about twice.
 *
 * @param weights of zero or more, adding to one
 * @param count how many are drawn, at least 1
 * @returns indices in rising order
 * @example drawnEvenly([0.5, 0.5], 4) // [0, 0, 1, 1]
 */
export function drawnEvenly(weights: ArrayLike<number>, count: number): number[] {
  let index = 0
  let passed = itemAt(weights, 0)
  return Array.from({ length: count }, (_, i) => {
    for (const at = (i + 0.5) / count; passed < at && index < weights.length - 1;) passed += itemAt(weights, ++index)
    return index
  })
}
