import type { BatchSummary } from '../batch/summary'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'

/** A batch as it is laid beside another. */
export interface BatchRecord { readonly plan: CookPlan, readonly cook: LiveCook, readonly summary: BatchSummary }

/**
 * How a batch differs from another: codes for `words/`, the amount always this one less the other; masses g, times s.
 */
export type Difference =
  | { readonly of: 'dish', readonly version: number, readonly than: number }
  | { readonly of: 'base', readonly byG: number }
  /** At the same base weight; else for each gram of it, times this one's. */
  | { readonly of: 'ingredient', readonly ingredient: string, readonly byG: number }
  | { readonly of: 'pan' | 'fire', readonly is: string, readonly was: string }
  /** Marks on the same fire, in the last roast or, where nothing is roasted, as the fire was lit. */
  | { readonly of: 'flame', readonly marks: number }
  | { readonly of: 'turn' | 'end' | 'after-turn', readonly byS: number }
  | { readonly of: 'colour', readonly is: string, readonly was: string }
  | { readonly of: 'weight', readonly byG: number, readonly weighed: boolean }
  | { readonly of: 'added' | 'repaired' | 'forgotten' | 'unstirred', readonly times: number }
  | { readonly of: 'room', readonly byK: number }
