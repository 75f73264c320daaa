import type { Shares } from '../../materials/composition/panContents'
import type { Added } from '../../record/marks/panChange'

/** What can be done about a fault. */
export const WAYS = [
  'boil-off', 'bind-base', 'bind-powder', 'add-liquid', 'swell-on', 'cook-drier', 'fat-spoon', 'press-break',
  'mash-sieve', 'roast-on', 'dilute', 'add-milk-solids', 'add-sugar', 'add-forgotten', 'lift-off', 'cook-on',
  'warm-through', 'chill', 'more-flour', 'boil-syrup-on', 'thin-syrup', 'reheat-drive-off', 'work-in-water',
  'lower-stir', 'cook-through', 'brown-in-fat', 'lift-out-clean', 'start-again',
] as const
export type Way = (typeof WAYS)[number]

/** Cautions and remarks beside a way. */
export const REMEDY_NOTES = [
  'uncovered-higher', 'long-spoon', 'roast-it-first', 'sprinkle-stir', 'contains-milk', 'hot', 'side-spoons',
  'cover-low', 'sugar-slows', 'warm', 'powdered-off-fire', 'runs-then-tightens', 'roast-beside', 'more-of-it',
  'crumble-in', 'tip-and-spoon', 'lower-scrape', 'palms-greased', 'keep-covered', 'no-stirring', 'spits-steam',
  'low-stir-always', 'scrape-back', 'hot-sieve', 'do-not-scrape', 'taste-after', 'no-liquid', 'nothing-sour',
  'lift-not-mash', 'scrape-not-if-brown',
] as const
export type RemedyNote = (typeof REMEDY_NOTES)[number]

/** One way to put a fault right: what to do, with amounts for this pan now, and what comes of it. */
export interface Remedy {
  readonly way: Way
  readonly adds: readonly Added[]
  readonly liftsFatG: number
  /** Water to be driven off, g. */
  readonly drivesOffG: number
  /** How long it takes, s, likely; null where the signs decide. */
  readonly takesS: number | null
  /** What the pan with its own weight should read when it is done, g; null where weight does not tell. */
  readonly grossG: number | null
  /** A syrup's boiling point when it is right, °C; null elsewhere. */
  readonly tempC: number | null
  readonly before: Shares
  readonly after: Shares
  /** What the finished sweet weighs then, g. */
  readonly finishedG: number
  readonly notes: readonly RemedyNote[]
}
