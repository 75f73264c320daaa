import type { EndFault } from '../../core/cook/faults/faults'
import type { FaultCause } from '../../core/cook/faults/causes'
import type { Part } from '../../core/formulation/dish/dish'

/** What is done to one imaginary batch that nobody writes down, and what it may come out as. */
export interface Injection {
  readonly cause: FaultCause
  readonly dishes: readonly string[]
  readonly faults: readonly EndFault[]
  /** Really goes in of these parts, times the plan's: least and greatest. */
  readonly amounts?: { readonly parts: readonly Part[], readonly times: readonly [number, number] }
  /**
   * A stage that is ended at so many times what it needs: the last roast, what follows the turn, the cooling, the
   * syrup.
   */
  readonly ends?: {
    readonly stage: 'roast' | 'after' | 'cool' | 'syrup' | 'pour'
    readonly times: readonly [number, number]
  }
  /** True where stages are ended by the clock of the plan and not by what is seen. */
  readonly byClock?: boolean
  /** Flame marks off the plan, in the roast or after the turn; told of by the cook in so many of ten batches. */
  readonly flame?: { readonly where: 'roast' | 'after', readonly marks: number, readonly toldOf: number }
  /** Liquid lit so late that it has this share of the time it needs. */
  readonly litLate?: readonly [number, number]
  /** Left unstirred, s; told of in so many of ten. */
  readonly unstirred?: { readonly seconds: readonly [number, number], readonly toldOf: number }
  readonly thinPan?: boolean
}

const LIQUID: readonly Part[] = ['water', 'milk', 'juice']
const SUGAR: readonly Part[] = ['sugar', 'jaggery']
const SOFT = [
  'sweet-water-semolina',
  'brick-kiln-wheat',
  'lantern-vermicelli',
  'threshing-floor-wheat',
  'milk-morning-semolina',
]
const SLABS = ['diamond-cashew', 'one-thread-gram']
const BALLS = ['marble-gram-balls']

/** One injected cause each. Sizes are those of a kitchen's mistakes (estimates), not tuned to what is found. */
export const INJECTIONS: readonly Injection[] = [
  { cause: 'roast-short', dishes: SOFT, faults: ['raw-taste', 'gluey'], ends: { stage: 'roast', times: [0.35, 0.65] } },
  { cause: 'roast-long', dishes: SOFT, faults: ['burnt'], ends: { stage: 'roast', times: [1.6, 2.4] } },
  {
    cause: 'flame-high',
    dishes: SOFT,
    faults: ['burnt'],
    flame: { where: 'roast', marks: 2, toldOf: 6 },
    byClock: true,
  },
  { cause: 'unstirred', dishes: SOFT, faults: ['burnt', 'lumpy'], unstirred: { seconds: [60, 200], toldOf: 7 } },
  { cause: 'thin-pan', dishes: SOFT, faults: ['burnt'], thinPan: true },
  {
    cause: 'too-wet',
    dishes: SOFT,
    faults: ['runny', 'gluey'],
    amounts: { parts: LIQUID, times: [1.15, 1.4] },
    byClock: true,
  },
  {
    cause: 'too-dry',
    dishes: SOFT,
    faults: ['dry', 'hard-grain'],
    amounts: { parts: LIQUID, times: [0.62, 0.85] },
    byClock: true,
  },
  { cause: 'off-early', dishes: SOFT, faults: ['runny', 'gluey'], ends: { stage: 'after', times: [0.35, 0.65] } },
  { cause: 'off-late', dishes: SOFT, faults: ['dry', 'greasy'], ends: { stage: 'after', times: [1.6, 2.6] } },
  {
    cause: 'low-after-turn',
    dishes: SOFT,
    faults: ['runny', 'gluey'],
    flame: { where: 'after', marks: -3, toldOf: 8 },
    byClock: true,
  },
  {
    cause: 'cold-liquid',
    dishes: ['sweet-water-semolina', 'brick-kiln-wheat', 'milk-morning-semolina'],
    faults: ['lumpy', 'hard-grain'],
    litLate: [0.2, 0.6],
  },
  { cause: 'poured-fast', dishes: SOFT, faults: ['lumpy'], ends: { stage: 'pour', times: [0.15, 0.4] } },
  { cause: 'sugar-early', dishes: ['sweet-water-semolina'], faults: ['hard-grain'] },
  {
    cause: 'more-fat',
    dishes: [...SOFT, ...BALLS],
    faults: ['greasy', 'balls-flatten'],
    amounts: { parts: ['fat'], times: [1.3, 1.8] },
  },
  { cause: 'less-fat', dishes: BALLS, faults: ['balls-crumble'], amounts: { parts: ['fat'], times: [0.5, 0.75] } },
  { cause: 'more-sugar', dishes: SOFT, faults: ['too-sweet'], amounts: { parts: SUGAR, times: [1.2, 1.6] } },
  { cause: 'less-sugar', dishes: SOFT, faults: ['not-sweet'], amounts: { parts: SUGAR, times: [0.5, 0.8] } },
  { cause: 'syrup-weak', dishes: SLABS, faults: ['slab-soft'], ends: { stage: 'syrup', times: [0.35, 0.65] } },
  { cause: 'syrup-far', dishes: SLABS, faults: ['slab-hard', 'grainy'], ends: { stage: 'syrup', times: [1.5, 2.2] } },
  { cause: 'rolled-warm', dishes: BALLS, faults: ['balls-flatten'], ends: { stage: 'cool', times: [0.25, 0.55] } },
  { cause: 'rolled-cool', dishes: BALLS, faults: ['balls-crumble'], ends: { stage: 'cool', times: [1.7, 2.8] } },
]
