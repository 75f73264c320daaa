import { formOf } from '../../formulation/dish/forms'
import { setsByOf, startTempC } from './setsBy'
import { finishedMass, type FinishedMass } from './finishedMass'
import { settingOf, type Setting } from '../../process/cooling/settingOf'
import { slabOf } from '../../process/cooling/slab'
import type { Kind } from '../../materials/composition/ingredient'
import { doneIndex } from '../../formulation/dish/doneIndex'
import type { ActivityRange } from '../../process/keeping/activityRange'
import type { Keeping } from '../../process/keeping/keepingOf'
import type { Place } from '../../record/marks/place'
import { sweetKeeping } from '../../process/keeping/sweetKeeping'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { trayFill } from '../../formulation/tray/trayFill'

/** How a finished batch stands: what there is of it, when it is ready, until when it keeps. Times in ms since 1970. */
export interface Standing {
  readonly mass: FinishedMass
  /** What is left after all that was given out, g. */
  readonly leftG: number
  readonly gone: boolean
  readonly place: Place
  readonly madeAt: number
  /** Setting of a slab in the tray it was put in; null for what does not set, or where no tray is known. */
  readonly setting: Setting | null
  /** When it can be eaten: after it has set, or as it leaves the fire. */
  readonly readyAt: number
  readonly activity: ActivityRange
  readonly keeping: Keeping
  /** Eat it by then, and throw out what is left after the second. */
  readonly eatBy: readonly [number, number]
  /** What perishes has to be in the cold by then; null where it is, in time, or where it need not be. */
  readonly coldBy: number | null
  /** The same two dates as `eatBy` for one that is in the cold in time. */
  readonly inCold: readonly [number, number]
}

const DAY_MS = 86_400_000
/** Depth of a slab whose tray is not known, mm (estimate). */
const USUAL_DEPTH_MM = 18

/**
 * How a finished batch stands.
 *
 * @param plan the plan
 * @param cook the replayed cook, started
 * @param finishedG finished weight, g
 * @param kindOf kind of an ingredient by its id
 * @returns what is left, ready and kept
 */
export function standing(
  plan: CookPlan,
  cook: LiveCook,
  finishedG: number,
  kindOf: (ingredient: string) => Kind | undefined,
): Standing {
  const mass = finishedMass(plan, cook, finishedG)
  const startedMs = cook.startedMs ?? plan.plannedAt
  const offS = cook.stageStarts[doneIndex(plan.dish)] ?? cook.offFireS ?? cook.finishedS ?? 0
  const madeAt = Math.round(startedMs + offS * 1000)
  const setting = settingIn(plan, cook, mass)
  const spreadS = cook.steps.spread ?? cook.after.shaped?.timeS ?? offS
  const readyAt = setting?.cut ? Math.round(startedMs + (spreadS + setting.cut.middle) * 1000) : madeAt
  const place = cook.after.places.at(-1)?.what ?? 'room'
  const hands = cook.after.shaped?.what.way === 'balls' || formOf(plan.dish).shapedBy === 'hands'
  const { activity, keeping } = sweetKeeping(plan, mass.contents, mass.invertShare, hands, kindOf)
  const leftG = Math.max(0, mass.massG - cook.after.givenOut.reduce((sum, one) => sum + one.what.massG, 0))
  const of = ([least, most]: readonly [number, number]): [number, number] => [
    madeAt + least * DAY_MS,
    madeAt + most * DAY_MS,
  ]
  const coldBy = keeping.standsH === null ? null : coldByMs(cook.after.places, offS, startedMs, keeping.standsH)
  return {
    mass,
    leftG,
    gone: cook.after.goneS !== null || leftG < 1,
    place,
    madeAt,
    setting,
    readyAt,
    activity,
    keeping,
    eatBy: coldBy === null ? of(keeping.days[place]) : [coldBy, coldBy],
    coldBy,
    inCold: of(keeping.days.cold),
  }
}

/**
 * When the hours are used up that a sweet may stand outside the cold, all of them together; null where it stands in the
 * cold with some of them left.
 */
function coldByMs(
  places: LiveCook['after']['places'],
  offS: number,
  startedMs: number,
  standsH: number,
): number | null {
  let leftS = standsH * 3600
  let outS: number | null = offS
  for (const { timeS, what, inTime } of places) {
    if (what === 'room') outS ??= timeS
    else if (outS !== null) {
      const stoodS = Math.max(0, timeS - outS)
      if (stoodS > leftS && !inTime) break
      leftS = Math.max(0, leftS - stoodS)
      outS = null
    }
  }
  return outS === null ? null : Math.round(startedMs + (outS + leftS) * 1000)
}

function settingIn(plan: CookPlan, cook: LiveCook, mass: FinishedMass): Setting | null {
  const shaped = cook.after.shaped?.what
  if (shaped ? shaped.way !== 'tray' : formOf(plan.dish).shapedBy !== 'knife') return null
  const depthMm =
    shaped?.way === 'tray'
      ? Math.min(150, trayFill(mass.volumeMl, shaped.tray, USUAL_DEPTH_MM).depthMm)
      : USUAL_DEPTH_MM
  return settingOf(slabOf(mass.contents, Math.max(2, depthMm), startTempC(plan, mass), plan.airC), setsByOf(plan, mass))
}
