import type { ComputedRef, Ref } from 'vue'
import type { Stone } from '../../core/cook/batch/summary'
import type { Action } from '../../core/cook/guidance/actions'
import type { Beside } from '../../core/cook/guidance/besideNow'
import type { Cue } from '../../core/cook/guidance/cue'
import type { Thinning } from '../../core/cook/guidance/sweetenedAhead'
import type { SyrupNow } from '../../core/cook/guidance/syrupNow'
import type { Stage } from '../../core/formulation/dish/dish'
import type { RoastAhead } from '../../core/process/flame/roastAhead'
import type { LiveCook } from '../../core/record/marks/liveCook'
import type { Surprise } from '../../core/record/plan/doubt'
import type { Forecast, ForecastPoint } from '../../core/record/plan/forecast'
import type { VesselNow } from '../../core/record/replay/flamesNow'

/** One window that is still open, s since the start of the cook. */
export interface OpenWindow {
  readonly id: 'aroma' | 'pour' | 'end'
  readonly fromS: number
  readonly toS: number
}

/** The cook as an arch: where it turns and ends, s, and its stones. */
export interface FireArc {
  readonly keystoneS: number
  readonly endS: number
  readonly stones: readonly Stone[]
}

/** The cook at the fire, kept up to date. What is drawn of it takes what it needs. */
export interface FireState {
  /** The replayed cook; null while its plan is not here. */
  readonly cook: ComputedRef<LiveCook | null>
  readonly running: ComputedRef<boolean>
  /** How far it is, s since its start; 0 before it. */
  readonly nowS: ComputedRef<number>
  readonly forecast: Readonly<Ref<Forecast | null>>
  /** What is ahead of a running roast. */
  readonly ahead: Readonly<Ref<RoastAhead | null>>
  /** Stages of the main line. */
  readonly line: ComputedRef<readonly Stage[]>
  /** Index of the stage at whose start the dish turns, and of the one with which it is off the fire. */
  readonly keystone: ComputedRef<number>
  readonly done: ComputedRef<number>
  /** The vessel the main line is in now: a pressure pan first, where there is one. */
  readonly main: ComputedRef<string>
  /** The other vessels. */
  readonly sides: ComputedRef<readonly string[]>
  readonly beside: ComputedRef<readonly Beside[]>
  readonly syrup: ComputedRef<SyrupNow | null>
  /** How the mass runs and tightens again once the sugar is in. */
  readonly thinning: ComputedRef<Thinning | null>
  /** A mark that can hardly be true, until it is taken back. */
  readonly surprise: ComputedRef<Surprise | null>
  /**
   * Nuts brown so much longer once they are out of the fat, s to the next five: they come out so much before.
   *
   * @param tempC of the fat, or null where it is not known
   * @returns null where they do not brown
   */
  readonly carryS: (tempC: number | null) => number | null
  /** The running stage of the main line; null before the start. */
  readonly stage: ComputedRef<Stage | null>
  readonly cue: ComputedRef<Cue | null>
  readonly actions: ComputedRef<readonly Action[]>
  /** Flame and lid of each vessel. */
  readonly flames: ComputedRef<Readonly<Record<string, VesselNow>>>
  readonly windows: ComputedRef<readonly OpenWindow[]>
  readonly arch: ComputedRef<FireArc | null>
  /** The pan now, in the middle run. */
  readonly point: ComputedRef<ForecastPoint | null>
}
