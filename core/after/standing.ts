import { setsByOf, startTempC } from './setsBy'
import { finishedMass, type FinishedMass } from './finishedMass'
import { settingOf, type Setting } from '../cooling/settingOf'
import { slabOf } from '../cooling/slab'
import type { Kind } from '../composition/ingredient'
import { doneIndex } from '../dish/doneIndex'
import { familyOf } from '../family/families'
import { activityRange, type ActivityRange } from '../keeping/activityRange'
import { keepingOf, type Keeping, type Place } from '../keeping/keepingOf'
import type { LiveCook } from '../live/liveCook'
import type { CookPlan } from '../live/plan'
import { trayFill } from '../tray/trayFill'

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
}

const DAY_MS = 86_400_000
const HOUR_MS = 3_600_000
/** What perishes may stand in the room so long, h. */
const ROOM_H = 2
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
export function standing(plan: CookPlan, cook: LiveCook, finishedG: number, kindOf: (ingredient: string) => Kind | undefined): Standing {
  const mass = finishedMass(plan, cook, finishedG)
  const startedMs = cook.startedMs ?? plan.plannedAt
  const offS = cook.stageStarts[doneIndex(plan.dish)] ?? cook.offFireS ?? cook.finishedS ?? 0
  const madeAt = Math.round(startedMs + offS * 1000)
  const setting = settingIn(plan, cook, mass)
  const spreadS = cook.steps.spread ?? cook.after.shaped?.timeS ?? offS
  const readyAt = setting?.cut ? Math.round(startedMs + (spreadS + setting.cut.middle) * 1000) : madeAt
  const place = cook.after.places.at(-1)?.what ?? 'room'
  const activity = activityRange(mass.contents, mass.invertShare)
  const keeping = keepingOf({ activity, ...perishables(plan, kindOf), hands: cook.after.shaped?.what.way === 'balls' || plan.dish.choices?.form === 'balls', roomC: plan.airC })
  const [least, most] = keeping.days[place]
  const leftG = Math.max(0, mass.massG - cook.after.givenOut.reduce((sum, one) => sum + one.what.massG, 0))
  const until = (days: number): number => madeAt + (days > 0 ? days * DAY_MS : ROOM_H * HOUR_MS)
  return {
    mass, leftG, gone: cook.after.goneS !== null || leftG < 1, place, madeAt, setting, readyAt, activity, keeping, eatBy: [until(least), until(most)],
  }
}

function perishables(plan: CookPlan, kindOf: (ingredient: string) => Kind | undefined): { milk: boolean, produce: boolean, coconut: boolean } {
  const kinds = plan.amounts.filter(one => one.massG > 0).map(one => kindOf(one.ingredient))
  const has = (...of: readonly Kind[]): boolean => kinds.some(kind => kind !== undefined && of.includes(kind))
  return { milk: has('milk', 'milk-solids', 'condensed'), produce: has('produce', 'juice') || (familyOf(plan.dish.family).fresh && plan.dish.family !== 'coconut-nut'), coconut: has('coconut') }
}

function settingIn(plan: CookPlan, cook: LiveCook, mass: FinishedMass): Setting | null {
  const shaped = cook.after.shaped?.what
  if (shaped ? shaped.way !== 'tray' : plan.dish.choices?.form !== 'slab') return null
  const depthMm = shaped?.way === 'tray' ? Math.min(150, trayFill(mass.volumeMl, shaped.tray, USUAL_DEPTH_MM).depthMm) : USUAL_DEPTH_MM
  return settingOf(slabOf(mass.contents, Math.max(2, depthMm), startTempC(plan, mass), plan.airC), setsByOf(plan, mass))
}
