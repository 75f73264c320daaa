import { usableCount } from '../measures/usableCount'

/** Less of a cup than this is no part that can be said. */
const LEAST_CUP = 0.24

/**
 * Proportions as they are said: counts of one cup, such as `2 : 1½ : 2 : 7`; of the base itself where it fills no
 * quarter of the cup.
 *
 * @param volumesMl volumes in the order they are said, the base first, ml
 * @param cupMl the cup, ml, above zero
 * @returns the counts joined by colons; a part too small for the cup's quarter is left out
 * @example partsText([360, 270, 360, 1260], 180) // '2 : 1½ : 2 : 7'
 */
export function partsText(volumesMl: readonly number[], cupMl: number): string {
  const [baseMl = 0] = volumesMl
  const measureMl = baseMl > 0 && baseMl < LEAST_CUP * cupMl ? baseMl : cupMl
  return volumesMl
    .map(volume => usableCount(volume / measureMl))
    .filter(one => one.count > 0)
    .map(one => one.text)
    .join(' : ')
}
