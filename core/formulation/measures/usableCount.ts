import { itemAt } from '../../maths/table/itemAt'

/** Fractions a household measure can be filled to by eye, with how they are written. */
const MARKS: readonly (readonly [number, string])[] = [
  [0, ''], [1 / 4, '¼'], [1 / 3, '⅓'], [1 / 2, '½'], [2 / 3, '⅔'], [3 / 4, '¾'], [1, ''],
]

/** A count of measures that can really be filled. */
export interface UsableCount {
  readonly count: number
  readonly text: string
}

/**
 * The nearest count that can be filled by eye: whole measures and quarters, thirds or halves; from ten on whole ones.
 *
 * @param count wanted count, zero or more
 * @returns the usable count and how it is written, such as `1½`; `0` for nothing
 * @example usableCount(1.46) // { count: 1.5, text: '1½' }
 */
export function usableCount(count: number): UsableCount {
  if (count >= 10) return { count: Math.round(count), text: String(Math.round(count)) }
  const rest = count - Math.floor(count)
  return written(
    Math.floor(count),
    MARKS.reduce((best, one) => (Math.abs(one[0] - rest) < Math.abs(best[0] - rest) ? one : best)),
  )
}

/**
 * The greatest count that can be filled by eye and is not more than the wanted one.
 *
 * @param count wanted count, zero or more
 * @returns the usable count and how it is written
 * @example usableBelow(1.46) // { count: 1⅓, text: '1⅓' }
 */
export function usableBelow(count: number): UsableCount {
  if (count >= 10) return { count: Math.floor(count), text: String(Math.floor(count)) }
  const rest = count - Math.floor(count) + 1e-9
  return written(Math.floor(count), MARKS.filter(one => one[0] <= rest).at(-1) ?? itemAt(MARKS, 0))
}

function written(whole: number, mark: readonly [number, string]): UsableCount {
  const full = whole + (mark[0] === 1 ? 1 : 0)
  return {
    count: whole + mark[0],
    text: mark[1] === '' ? String(full) : full === 0 ? mark[1] : `${full}${mark[1]}`,
  }
}
