import type { ColourStep, SignId } from '../../formulation/signs/signIds'
import type { TermCode } from '../../formulation/signs/terms'
import type { AfterDraft, AfterFire } from './afterFire'
import type { Composition } from '../../materials/composition/composition'
import type { Marked } from './marked'
import type { Moment } from './moment'

/** A change of one vessel's flame or lid. */
export interface ControlChange { readonly vessel: string, readonly mark?: string, readonly lid?: boolean }

/** How a batch turned out. */
export interface Outcome { readonly faults: readonly string[], readonly line: string }

/** How fast a mass takes up what is poured. */
export const UPTAKE_PACES = ['quickly', 'slowly', 'no-more'] as const
export type UptakePace = (typeof UPTAKE_PACES)[number]

/** Slips a cook can own up to, so that what is seen is read rightly. */
export const SLIPS = ['poured-early', 'liquid-cold', 'flame-too-high', 'spilt'] as const
export type Slip = (typeof SLIPS)[number]

/** Something that went into the pan beside the plan. */
export interface Added { readonly ingredient: string, readonly massG: number, readonly composition: Composition }

/** A change of what is in the pan: more of something, fat lifted off, or a repair made of both. */
export interface PanChange {
  readonly adds: readonly Added[]
  /** Fat lifted off, g. */
  readonly liftsFatG: number
  /** What it was to put right, and how: codes of `core/repair`; null where nothing was wrong. */
  readonly repairs: { readonly fault: string, readonly way: string } | null
}

/** Liquid of another vessel that did not go in with the pour, as a share of what it held. */
export interface KeptBack { readonly vessel: string, readonly share: number }

/** A cook as it stands: everything replayed from its plan and its observations. */
export interface LiveCook {
  /** ms since 1970 of the start, or null before it. */
  readonly startedMs: number | null
  /** True where it was entered afterwards, from memory. */
  readonly fromMemory: boolean
  /** All moments in order, also the withdrawn and the unknown; those whose time lies outside the cook are passed over. */
  readonly moments: readonly (Moment & { readonly timeS: number, readonly known: boolean, readonly outside: boolean })[]
  /** Index into the dish's main line; −1 before the start. */
  readonly stage: number
  /** When each main-line stage began, s, or null. */
  readonly stageStarts: readonly (number | null)[]
  readonly signs: readonly Marked<SignId>[]
  readonly looks: readonly Marked<ColourStep>[]
  readonly controls: readonly Marked<ControlChange>[]
  /** When each other vessel was put on its fire, s, and when it was seen to be ready. */
  readonly lit: Readonly<Record<string, number>>
  readonly ready: Readonly<Record<string, number>>
  readonly weighings: readonly Marked<{ readonly vessel: string, readonly grossG: number }>[]
  readonly temperatures: readonly Marked<{ readonly vessel: string, readonly tempC: number }>[]
  readonly depths: readonly Marked<{ readonly vessel: string, readonly depthMm: number }>[]
  readonly uptakes: readonly Marked<UptakePace>[]
  /** Releases of the valve that were heard. */
  readonly releases: readonly Marked<null>[]
  readonly changes: readonly Marked<PanChange>[]
  /** Ingredients that should have gone in by then and did not, by their id in the dish. */
  readonly forgotten: readonly Marked<string>[]
  readonly keptBack: readonly Marked<KeptBack>[]
  /** Other vessels whose rest was poured in later, by id. */
  readonly restPoured: readonly Marked<string>[]
  /** How long the pan was left unstirred, s. */
  readonly unstirred: readonly Marked<number>[]
  readonly slips: readonly Marked<Slip>[]
  /** Signs that were asked for and had not come yet. */
  readonly notYet: readonly Marked<SignId>[]
  /** What was smelled, seen, heard or felt beside the signs that the forecast times. */
  readonly perceived: readonly Marked<TermCode>[]
  /** What was looked into after a surprise and found to be as thought: such as `flame`. */
  readonly checked: readonly Marked<string>[]
  /** Readings of a scale that fit nothing, g: a person has to say what they are. */
  readonly unsure: readonly Marked<{ readonly vessel: string, readonly readG: number }>[]
  /** Steps before and after the fire that are done, by stage id, s. */
  readonly steps: Readonly<Record<string, number>>
  readonly notes: readonly Marked<string>[]
  readonly offFireS: number | null
  readonly finishedS: number | null
  readonly outcome: Outcome | null
  readonly after: AfterFire
}

/** A cook while it is replayed. */
export type CookDraft = { -readonly [K in keyof Omit<LiveCook, 'after'>]: LiveCook[K] extends readonly (infer T)[] ? T[] : LiveCook[K] } & { after: AfterDraft }
