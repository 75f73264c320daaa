import type { Shares } from '../../materials/composition/panContents'
import type { Added } from '../../record/marks/panChange'

/** What can go wrong at the fire and after it, as a cook would name it. */
export const FAULTS = [
  'runny', 'dry', 'lumpy', 'gluey', 'hard-grain', 'raw-taste', 'too-sweet', 'not-sweet', 'greasy', 'sticking', 'syrup-weak', 'syrup-far', 'slab-soft', 'slab-hard',
  'balls-crumble', 'balls-flatten', 'milk-split', 'milk-catches', 'pasty', 'scorched',
] as const
export type Fault = (typeof FAULTS)[number]

/** One way to put a fault right: what to do, with amounts for this pan now, and what comes of it. */
export interface Remedy {
  /** Code of `words/`. */
  readonly way: string
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
  /** Cautions and remarks: codes of `words/`. */
  readonly notes: readonly string[]
}

/** A likely cause, with what this cook's own record says of it. */
export interface Cause {
  /** Code of `words/`. */
  readonly cause: string
  /** For it, against it, or silent. */
  readonly record: 'for' | 'against' | 'open'
}

/** A fault in this pan now: why, what can be done, and what cannot. */
export interface Repair {
  readonly fault: Fault
  /** Code of `words/` where what is seen is expected at this stage and no fault; null otherwise. */
  readonly expected: string | null
  readonly causes: readonly Cause[]
  /** The surest first; empty where nothing helps. */
  readonly remedies: readonly Remedy[]
  /** What cannot be saved: code of `words/`, or null. */
  readonly lost: string | null
}
