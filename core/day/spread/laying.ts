import { lastOf } from '../../maths/table/itemAt'
import type { Stage } from '../../formulation/dish/dish'
import type { Activity, Durations, Hold, Lag } from '../problem/day'

/** Least and longest waits, minutes; kitchen rules and food safety margins, estimates. */
export const WAITS = {
  soak: 840,
  paste: 60,
  puree: 60,
  grated: 60,
  mixed: 60,
  prepared: 600,
  open: [10, 20],
  openLate: 60,
  hotBase: 5,
  hot: 3,
  warm: 15,
  cool: 60,
  rest: 60,
  set: 720,
  thickenedCools: 30,
  thickenedKeeps: 2880,
  steep: [10, 120],
  syrup: [5, 40],
  liquid: [10, 120],
} as const
/** Taking the lid off what has opened by itself, minutes. */
export const LID_OFF: Durations = [2, 3, 4]

/** A dish's steps while they are laid out. */
export interface Laying {
  readonly activities: Activity[]
  readonly lags: Lag[]
  readonly holds: Hold[]
  /** The step that the next one follows, and how long it may wait. */
  last: string | null
  min: number
  max: number | null
  kind: string
}

/** A step of the main line and the stages in it. */
export interface FireStep { readonly id: string, readonly stages: Stage[] }

/**
 * The step of the fire that a stage is in.
 *
 * @param fire steps of the main line
 * @param stage one of its stages
 * @returns the step's id; the last one's where it is in none
 */
export function stepOf(fire: readonly FireStep[], stage: Stage): string {
  return (fire.find(step => step.stages.includes(stage)) ?? lastOf(fire)).id
}

/**
 * Adds a step after the last one.
 *
 * @param laying the dish's steps so far, changed in place
 * @param activity the step
 * @param min least wait before it, minutes
 * @param max longest wait beyond the least, minutes; null where it can wait
 * @param kind what is waited for
 */
export function follow(laying: Laying, activity: Activity, min: number, max: number | null, kind: string): void {
  if (laying.last)
    laying.lags.push({
      from: laying.last,
      to: activity.id,
      min: laying.min + min,
      max: max === null && laying.max === null ? null : (laying.max ?? laying.min) + (max ?? WAITS.prepared),
      kind,
    })
  laying.activities.push(activity)
  laying.last = activity.id
  laying.min = 0
  laying.max = null
}
