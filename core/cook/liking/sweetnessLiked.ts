import type { Liking } from '../../record/marks/afterFire'
import { factorWindow } from '../../maths/random/spreadWindow'

/** How sweet a batch was and what those who ate it said. */
export interface Tasted {
  readonly batch: string
  readonly at: number
  readonly sweetness: number
  readonly liking: Liking
}

/** How sweet this house likes it: g of sugar that tastes as sweet, in 100 g. */
export interface SweetnessLiked {
  readonly middle: number
  readonly early: number
  readonly late: number
  readonly batches: readonly string[]
}

/**
 * Where a batch that was too sweet or not sweet enough says the liking lies, as a share of its own sweetness, and how
 * surely: dishes differ in how sweet they are meant to be (estimates).
 */
const SAYS: Readonly<Record<Liking, readonly [share: number, spread: number]>> = {
  right: [1, 0.22],
  less: [0.88, 0.24],
  more: [1.14, 0.24],
}
/** What is believed before anybody has tasted, in 100 g (estimate: soft halwas of this book lie between 18 and 40). */
const FIRST = { middle: 27, spread: 0.3 }

/**
 * How sweet a household likes it: each tasting is a reading in log sweetness, weighed by its spread, beside a first
 * guess.
 *
 * @param tasted sweetness in g of sucrose in 100 g, above zero, and what was said
 * @returns middle and 10–90 % span; null where nobody has tasted
 */
export function sweetnessLiked(tasted: readonly Tasted[]): SweetnessLiked | null {
  const useful = tasted.filter(one => one.sweetness > 0)
  if (useful.length === 0) return null
  let weight = 1 / FIRST.spread ** 2
  let sum = Math.log(FIRST.middle) * weight
  for (const { sweetness, liking } of useful) {
    const [share, spread] = SAYS[liking]
    weight += 1 / spread ** 2
    sum += Math.log(sweetness * share) / spread ** 2
  }
  return { ...factorWindow(Math.exp(sum / weight), Math.sqrt(1 / weight)), batches: useful.map(one => one.batch) }
}
