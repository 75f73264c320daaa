import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import type { Forecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import { hasShown } from '../../record/replay/hasShown'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'

/** How urgent it is: just past, well past, and where little can be saved. */
export type LateLevel = 1 | 2 | 3

/** A stage whose window has passed without a mark, or whose sign was marked and nothing done. */
export interface Late {
  /** Id of the stage, of the main line or beside it. */
  readonly stage: string
  readonly level: LateLevel
  /** Since when, s since the start, and how long, s. */
  readonly sinceS: number
  readonly byS: number
  /** The window that has passed; null where it waited for minutes, or for a hand. */
  readonly window: Window | null
}

/** A hand that marks a sign goes on within this, s; what waits for minutes bears this much (estimates). */
const HAND_S = 20
const MINUTES_S = 10
/** Well past and too far, as shares of the window's width, and at least so long, s (estimates). */
const WELL = { share: 0.25, leastS: 30 }
const TOO_FAR = { share: 0.75, leastS: 90 }
/** What roasts on or runs dry bears less: shares of the above. */
const URGENT = 0.5

/**
 * Every stage that is late: at once when its window has passed, more urgent with time.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand, or null while there is none
 * @param nowS how far the cook is, s
 * @returns the main line's first, then what stands beside, the most urgent first
 */
export function lateOf(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): Late[] {
  if (cook.startedMs === null || cook.finishedS !== null) return []
  const main = lateStage(plan, cook, forecast, nowS)
  const sides = sideStages(plan.dish).flatMap(side => lateSide(side, cook, forecast, nowS))
  // What is in the pan burns; what stands beside waits.
  return [...main, ...sides.sort((p, q) => q.level - p.level)]
}

function lateStage(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): Late[] {
  const stage = mainLine(plan.dish)[cook.stage]
  const began = cook.stageStarts[cook.stage]
  if (!stage || stage.does === 'rest' || began === null || began === undefined) return []
  if (stage.does === 'pour' && 'minutes' in stage.until) {
    const window = forecast?.stages[cook.stage + 1] ?? null
    // A window of now on says nothing of a pour that goes on; its usual length does.
    const latest = window && window.late > nowS ? null : began + POUR_S
    return latest === null ? [] : late(stage, latest, null, nowS)
  }
  if ('minutes' in stage.until)
    return late(stage, countsFromS(stage, cook, began) + stage.until.minutes * 60 + MINUTES_S, null, nowS)
  const sign = stage.until.sign
  if (hasShown(cook, sign)) return late(stage, Math.max(began, shownAt(cook, sign)) + HAND_S, null, nowS)
  const window = forecast?.signs[sign] ?? null
  return window ? late(stage, window.late, window, nowS) : []
}

/** Longest that a pour goes on unmarked before it is asked for, s (estimate: a large pot in parts). */
const POUR_S = 240

/**
 * What is pressed counts from its first release; before it has come to pressure, with the time that takes at most
 * (estimate).
 */
const TO_PRESSURE_S = 900
function countsFromS(stage: Stage, cook: LiveCook, began: number): number {
  if (stage.does !== 'press') return began
  return cook.releases.find(one => one.timeS >= began)?.timeS ?? began + TO_PRESSURE_S
}

/** When a sign was first marked, or a darker colour. */
function shownAt(cook: LiveCook, sign: string): number {
  const step = COLOUR_STEPS.findIndex(one => one === sign)
  const times = [...cook.signs, ...cook.looks]
    .filter(one => one.what === sign || (step >= 0 && COLOUR_STEPS.findIndex(known => known === one.what) >= step))
    .map(one => one.timeS)
  return times.length > 0 ? Math.min(...times) : 0
}

/** What stands beside: not put on in time, or past its own window. */
function lateSide(side: Stage, cook: LiveCook, forecast: Forecast | null, nowS: number): Late[] {
  const found = forecast?.sides.find(one => one.vessel === side.vessel)
  if (!found || cook.stage >= found.meets || cook.stage < 0) return []
  const isLit = cook.lit[side.vessel] !== undefined
  if (!isLit) return found.lightS === null ? [] : late(side, found.lightS + WELL.leastS, null, nowS)
  if (cook.ready[side.vessel] !== undefined || !('sign' in side.until) || !found.boils) return []
  return late(side, found.boils.late, found.boils, nowS)
}

function late(stage: Stage, sinceS: number, window: Window | null, nowS: number): Late[] {
  const byS = nowS - sinceS
  if (!(byS > 0)) return []
  const width = window ? window.late - window.early : 0
  const bears = ['roast', 'fry', 'boil-syrup', 'press'].includes(stage.does) ? URGENT : 1
  const past = ({ share, leastS }: typeof WELL): boolean => byS > bears * Math.max(leastS, share * width)
  return [{ stage: stage.id, level: past(TOO_FAR) ? 3 : past(WELL) ? 2 : 1, sinceS, byS, window }]
}
