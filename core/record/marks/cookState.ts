import type { SignId } from '../../formulation/signs/signIds'
import type { AfterDraft, AfterFire } from './afterFire'
import type { Marked } from './marked'
import type { Moment } from './moment'

/** How a batch turned out. */
export interface Outcome { readonly faults: readonly string[], readonly line: string }

/** What marks together make of a cook, beside the lists that each kind fills. */
export interface CookState {
  /** ms since 1970 of the start, or null before it. */
  readonly startedMs: number | null
  /** True where it was entered afterwards, from memory. */
  readonly fromMemory: boolean
  /**
   * All moments in order, also the withdrawn and the unknown; those whose time lies outside the cook are passed over.
   */
  readonly moments: readonly (Moment & { readonly timeS: number, readonly known: boolean, readonly outside: boolean })[]
  /** Index into the dish's main line; −1 before the start. */
  readonly stage: number
  /** When each main-line stage began, s, or null. */
  readonly stageStarts: readonly (number | null)[]
  /** Each sign once in a stage. */
  readonly signs: readonly Marked<SignId>[]
  /** When each other vessel was put on its fire, s, and when it was seen to be ready. */
  readonly lit: Readonly<Record<string, number>>
  readonly ready: Readonly<Record<string, number>>
  /** Steps before and after the fire that are done, by stage id, s. */
  readonly steps: Readonly<Record<string, number>>
  readonly offFireS: number | null
  readonly finishedS: number | null
  readonly outcome: Outcome | null
  readonly after: AfterFire
}

/** The same while it is replayed. */
export type CookDraft =
  { -readonly [K in keyof Omit<CookState, 'after'>]: CookState[K] extends readonly (infer T)[] ? T[] : CookState[K] }
  & { after: AfterDraft }
