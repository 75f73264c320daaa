import type { Cut } from '../../formulation/tray/cut'
import type { DeepTray } from '../../formulation/tray/trayFill'
import type { Marked } from './marked'
import type { Place } from './place'

/** What a finished mass was made into. */
export type Shaping =
  | { readonly way: 'tray', readonly tray: DeepTray & { readonly name: string }, readonly cut: Cut }
  | { readonly way: 'balls', readonly eachG: number }
  | { readonly way: 'bowls', readonly bowlMl: number }

/** Where some of it went. */
export const GIVEN_TO = ['eaten', 'given', 'set-apart', 'nut-free', 'thrown'] as const
export type GivenTo = (typeof GIVEN_TO)[number]

/** How it was liked by those who ate it: they would have it less so, it was right, or more so. */
export const LIKINGS = ['less', 'right', 'more'] as const
export type Liking = (typeof LIKINGS)[number]
/** What is asked. */
export const LIKED_FOR = ['sweetness', 'softness', 'richness'] as const
export type LikedFor = (typeof LIKED_FOR)[number]
export type Liked = Readonly<Partial<Record<LikedFor, Liking>>>

/** A changed copy of the dish that was made of this batch's faults. */
export interface DishChange {
  readonly dish: string
  readonly version: number
  readonly fault: string
  readonly cause: string
}

/** What happened to a batch after the fire. */
export interface AfterFire {
  readonly shaped: Marked<Shaping> | null
  /** Where it was put, by time; `inTime` where only the tap came late, and it was in the cold within its hours. */
  readonly places: readonly (Marked<Place> & { readonly inTime?: boolean })[]
  readonly givenOut: readonly Marked<{ readonly massG: number, readonly to: GivenTo }>[]
  /** When nothing was left, s. */
  readonly goneS: number | null
  readonly liked: Liked
  readonly changed: readonly Marked<DishChange>[]
}
export type AfterDraft = {
  -readonly [K in keyof AfterFire]: AfterFire[K] extends readonly (infer T)[] ? T[] : AfterFire[K]
}

/** Nothing has happened yet. */
export const NOTHING_AFTER: AfterFire = { shaped: null, places: [], givenOut: [], goneS: null, liked: {}, changed: [] }
