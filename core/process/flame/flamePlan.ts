import type { ColourStep } from '../../formulation/signs/signIds'
import type { Window } from '../../maths/random/window'
import type { FlameTurn } from '../../record/plan/flameTurn'

/** A schedule of flames for a roast and what it comes to. Shares are of one. */
export interface FlameSchedule {
  readonly turns: readonly FlameTurn[]
  /** From the start of the roast to the wanted colour, s. */
  readonly lastsS: Window
  /** How often it ends within one colour step of the wanted one, ended by eye with two noisy signs. */
  readonly reaches: number
  /** How often it burns. */
  readonly burns: number
  /** How often the wanted colour comes within the patience. */
  readonly inTime: number
  /** How often it comes to the wanted colour itself, not to a step short of it. */
  readonly onColour: number
}

/** What is asked for. */
export interface FlameWish {
  readonly step: ColourStep | 'aroma'
  /** Longest time from the start of the roast, s. */
  readonly patienceS: number
  /** Largest share of burnt roasts that is borne, 0.001 to 0.5. */
  readonly risk: number
}

/** The plan: the schedule advised, and the ones to either side of it. */
export interface FlamePlan {
  readonly wish: FlameWish
  readonly advised: FlameSchedule
  /** Slower and burning less often; null where there is none. */
  readonly safer: FlameSchedule | null
  /** Quicker and burning more often; null where there is none. */
  readonly quicker: FlameSchedule | null
  /** Least time in which it is cooked through, s: nothing faster is advised. */
  readonly leastS: number
  /** False where nothing reaches the wanted roast in that time at that risk: the advised one is the nearest. */
  readonly met: boolean
  readonly tried: number
}
