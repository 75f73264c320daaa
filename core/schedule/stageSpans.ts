import type { Dish, Stage } from '../dish/dish'
import { mainLine } from '../dish/mainLine'
import { sideStages } from '../dish/sideStages'
import { usualMinutes } from '../dish/usualMinutes'
import type { Forecast, Window } from '../forecast/forecast'
import type { Durations } from './day'

/**
 * Half-width of a triangular spread over its distance from the middle to the 10th or 90th percentile: a symmetric
 * triangle of half-width h has its 10th percentile at h (1 - sqrt 0.2) below the middle.
 */
const TRIANGLE = 1 / (1 - Math.sqrt(0.2))
/** Work of the hands without a forecast: shortest and longest over the likely (estimate). */
const HANDS_SPREAD = [0.8, 1.35] as const
/** Waits by themselves, such as setting and soaking, are longest at this many times the likely (estimate). */
const WAIT_SPREAD = [0.8, 1.5] as const
/** No stage is thought to take less than this share of its likely time. */
const LEAST_SHARE = 0.4

/**
 * Shortest, likely and longest minutes of every stage of a dish: from the windows of its forecast where it is at the
 * fire, from usual minutes elsewhere. A forecast gives windows for the ends of stages; a stage's own spread is what is
 * left after that of the stage before, taken as independent.
 *
 * @param dish with its stages
 * @param forecast of the dish before it is begun, s
 * @returns by stage id; whole minutes, at least one
 */
export function stageSpans(dish: Dish, forecast: Pick<Forecast, 'stages' | 'sides'>): Record<string, Durations> {
  const spans: Record<string, Durations> = {}
  for (const stage of dish.stages) spans[stage.id] = usualSpan(dish, stage)
  let before: Window = { early: 0, middle: 0, late: 0 }
  mainLine(dish).forEach((stage, index) => {
    const end = forecast.stages[index]
    if (!end) return
    if (!('minutes' in stage.until)) spans[stage.id] = span(between(before, end))
    before = end
  })
  const sides = sideStages(dish)
  for (const side of forecast.sides) {
    const stage = sides.find(one => one.vessel === side.vessel)
    if (stage) spans[stage.id] = span(side.needs)
  }
  return spans
}

function usualSpan(dish: Dish, stage: Stage): Durations {
  const likely = usualMinutes(dish, stage)
  const [low, high] = stage.hands === 0 ? WAIT_SPREAD : HANDS_SPREAD
  return [Math.max(1, Math.round(likely * low)), Math.max(1, Math.round(likely)), Math.max(1, Math.ceil(likely * high))]
}

/** Window of a stage's own length from those of its two ends. */
function between(start: Window, end: Window): Window {
  const middle = end.middle - start.middle
  const left = (a: number, b: number): number => Math.sqrt(Math.max(0, a * a - b * b))
  return { early: middle - left(end.middle - end.early, start.middle - start.early), middle, late: middle + left(end.late - end.middle, start.late - start.middle) }
}

/** A 10-90 % window in s as a triangular spread in whole minutes. */
function span({ early, middle, late }: Window): Durations {
  const minutes = Math.max(1, Math.round(middle / 60))
  const low = Math.max(LEAST_SHARE * middle, middle - TRIANGLE * (middle - early))
  const high = middle + TRIANGLE * (late - middle)
  return [Math.max(1, Math.min(minutes, Math.floor(low / 60))), minutes, Math.max(minutes, Math.ceil(high / 60))]
}
