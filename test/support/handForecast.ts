import type { Forecast } from '../../core/record/plan/forecast'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import type { Window } from '../../core/maths/random/window'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { marked } from './plans'

/** A window with its middle halfway. */
export const between = (early: number, late: number): Window => ({ early, middle: (early + late) / 2, late })

/** A forecast written down by hand: it knows nothing but what is given, so that what rests on it can be told to the second. */
export const handForecast = (given: Partial<Forecast> = {}): Forecast => ({
  modelVersion: 'by-hand', nowS: 0, members: 1, effective: 1, signs: {}, stages: [], sides: [],
  finishedG: between(0, 0), turnDownS: null, leftAloneS: null, points: [],
  restsOn: { taps: 0, readings: 0, batches: 0, guessedVessels: [] },
  ...given,
})

/** Seconds from the beginning of one stage of a story by hand to the next. */
export const A_STAGE_S = 100

/** Marks beside the story: when, s, of what kind, holding what. */
export type More = readonly (readonly [timeS: number, kind: string, payload?: Record<string, unknown>])[]

/**
 * The marks of a cook that has come to a stage of its main line, a hundred seconds for each one before, and others beside.
 * They are numbered in the order of time, those of the story first: `tablet-1` is the start.
 */
export function storyTo(plan: CookPlan, stage: string, more: More = []): Observation[] {
  const line = mainLine(plan.dish)
  const last = line.findIndex(one => one.id === stage)
  const story: More = [
    [0, 'cook.started'],
    ...line.slice(1, last + 1).map((one, k) => [(k + 1) * A_STAGE_S, 'stage.began', { stage: one.id }] as const),
  ]
  return [...story, ...more].sort((p, q) => p[0] - q[0]).map(([timeS, kind, payload], i) => marked(i + 1, timeS, kind, payload))
}
