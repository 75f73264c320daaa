import type { Dish, Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import type { Forecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import type { Durations } from '../problem/day'

/** Work of the hands without a forecast: 10th and 90th percentile over the likely (estimate). */
const HANDS_SPREAD = [0.8, 1.35] as const
/** Waits by themselves, such as setting and soaking: the same (estimate). */
const WAIT_SPREAD = [0.8, 1.5] as const
/** No stage is thought to take less than this share of its likely time. */
const LEAST_SHARE = 0.4

/**
 * 10th, 50th and 90th percentile of the minutes of every stage of a dish: from the windows of its forecast where it is
 * at the fire, from usual minutes elsewhere. A forecast gives windows for the starts of stages; a stage's own spread is
 * what its end has more than its start, taken as independent.
 *
 * @param dish with its stages
 * @param forecast of the dish before it is begun, s
 * @returns by stage id; whole minutes, at least one
 */
export function stageSpans(dish: Dish, forecast: Pick<Forecast, 'stages' | 'sides'>): Record<string, Durations> {
  const spans: Record<string, Durations> = {}
  for (const stage of dish.stages) spans[stage.id] = usualSpan(dish, stage)
  mainLine(dish).forEach((stage, index) => {
    const start = forecast.stages[index]
    const end = forecast.stages[index + 1]
    if (start && end && !('minutes' in stage.until)) spans[stage.id] = span(between(start, end))
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
  return {
    early: middle - left(end.middle - end.early, start.middle - start.early),
    middle,
    late: middle + left(end.late - end.middle, start.late - start.middle),
  }
}

/** A 10-90 % window in s in whole minutes. */
function span({ early, middle, late }: Window): Durations {
  const minutes = Math.max(1, Math.round(middle / 60))
  return [
    Math.max(1, Math.min(minutes, Math.floor(Math.max(early, LEAST_SHARE * middle) / 60))),
    minutes,
    Math.max(minutes, Math.ceil(late / 60)),
  ]
}
