import type { SignId } from '../../formulation/signs/signIds'

/** A boundary that must have been crossed unmarked: which, and about when. */
export interface OpenQuestion {
  /** Stage that should have begun; null where the cook should have been finished. */
  readonly stage: string | null
  /** When it likely was, s since the start. */
  readonly atS: number
  /** Sign that ends the running stage, or null where minutes do. */
  readonly sign: SignId | null
}

/** Something seen that can hardly be true under the plan. */
export interface Surprise {
  /** Id of the mark that surprises, and what it says. */
  readonly mark: string
  readonly sign: SignId
  readonly faster: boolean
  /** How much longer or shorter than expected, a ratio above 1. */
  readonly times: number
  /** Flame mark that would make it true, or null where none would. */
  readonly flame: string | null
  /** The mark the flame is thought to stand at. */
  readonly thought: string | null
}

/** What a cook should be asked or told because what is known does not fit together. */
export interface Doubts {
  readonly asks: OpenQuestion | null
  readonly surprise: Surprise | null
}
