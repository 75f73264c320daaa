import { mainLine } from '../dish/mainLine'
import type { CookPlan } from '../live/plan'
import type { LiveCook } from '../live/replay'
import { fillNormal } from '../random/fillNormal'
import { seededRandom } from '../random/seededRandom'
import { usualSeconds } from './usualSeconds'

/** Scatter of usual minutes in log time: of a whole cook, and of each of its stages (estimates). */
export const COOK_SPREAD = 0.22
export const STAGE_SPREAD = 0.3
/** What is left of a stage that has outlasted its time, as a share of it (estimate). */
const OVERDUE = 0.25

/** Draws of when each main-line stage begins, and one more for the end; `starts[draw][stage]` in s. */
export interface UsualRuns {
  readonly starts: readonly (readonly number[])[]
  /** How far this cook runs from its usual minutes, in log time: mean and standard deviation. */
  readonly pace: { readonly mean: number, readonly spread: number }
}

/**
 * Draws cooks on usual minutes: what has begun stands at its own time, the pace of what is over moves what is still to
 * come (normal belief in log time), and nothing that has not been marked is over before now.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param nowS how far the cook is, s
 * @param draws how many, 20 to 10 000
 * @returns starts by draw
 */
export function usualRuns(plan: CookPlan, cook: LiveCook, nowS: number, draws: number): UsualRuns {
  const line = mainLine(plan.dish)
  const middles = line.map(stage => usualSeconds(plan, stage))
  const pace = paceOf(middles, cook.stageStarts)
  const normals = fillNormal(new Float64Array(draws * (line.length + 1)), seededRandom(plan.seed))
  const starts = Array.from({ length: draws }, (_, draw) => {
    const z = (k: number): number => normals[draw * (line.length + 1) + k]
    const common = pace.mean + pace.spread * z(line.length)
    const times = [0]
    middles.forEach((middle, k) => {
      const known = cook.stageStarts[k + 1]
      if (known !== null && known !== undefined) return void times.push(known)
      const seconds = middle * Math.exp(common + STAGE_SPREAD * z(k))
      const running = k === cook.stage || (cook.stage < 0 && k === 0)
      const end = times[k] + seconds
      times.push(running && end < nowS ? nowS + OVERDUE * middle * Math.abs(z(k)) : Math.max(end, k <= cook.stage ? nowS : end))
    })
    return times
  })
  return { starts, pace }
}

/** The pace after the stages that are over: a normal belief moved by each of them. */
function paceOf(middles: readonly number[], begun: readonly (number | null)[]): UsualRuns['pace'] {
  let precision = 1 / COOK_SPREAD ** 2
  let sum = 0
  middles.forEach((middle, k) => {
    const from = begun[k]
    const to = begun[k + 1]
    if (from === null || from === undefined || to === null || to === undefined || !(to - from > 5)) return
    precision += 1 / STAGE_SPREAD ** 2
    sum += Math.log((to - from) / middle) / STAGE_SPREAD ** 2
  })
  return { mean: sum / precision, spread: Math.sqrt(1 / precision) }
}
