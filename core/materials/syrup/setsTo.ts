import type { Sets } from './syrup'

/**
 * Strengths from which a syrup sets to each: the sugar cook's stages of handbooks by their boiling points at sea level
 * (thread 106–112 °C, soft 112–116 °C, firm 116–121 °C, hard to 130 °C; recalled, unchecked), turned into strengths.
 */
const FROM: readonly (readonly [Sets, number])[] = [
  ['hard', 0.87],
  ['firm', 0.84],
  ['soft', 0.8],
  ['thread', 0.7],
  ['sticky', 0.6],
]

/**
 * What a syrup sets to when it has cooled.
 *
 * @param share sugar over all, by weight
 * @returns from `runs` to `hard`
 * @example setsTo(0.82) // 'soft'
 */
export function setsTo(share: number): Sets {
  return FROM.find(([, from]) => share >= from)?.[0] ?? 'runs'
}
