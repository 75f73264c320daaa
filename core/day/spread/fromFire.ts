import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import type { Forecast } from '../../record/plan/forecast'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import type { Durations } from '../problem/day'
import type { StepProgress } from './spread'

/** What a cook at the fire says of the day: what is begun and done, and how long the rest will take. */
export interface FromFire {
  readonly doings: readonly StepProgress[]
  /** Minutes of steps that are not done, as the forecast now has them, by step. */
  readonly spans: Readonly<Record<string, Durations>>
}

/**
 * Reads the steps of a dish off its cook at the fire. A step covers the stages of the main line from its own to that of
 * the next step.
 *
 * @param dish id of the dish on the day, and its steps
 * @param plan of the cook
 * @param cook as it stands
 * @param forecast the latest, or null
 * @param minuteOf minute of the day for s since the start of the cook
 */
export function fromFire(
  dish: { readonly id: string, readonly steps: readonly string[] },
  plan: Pick<CookPlan, 'dish'>,
  cook: LiveCook,
  forecast: Pick<Forecast, 'stages' | 'nowS'> | null,
  minuteOf: (timeS: number) => number,
): FromFire {
  if (cook.startedMs === null) return { doings: [], spans: {} }
  const line = mainLine(plan.dish)
  const at = (index: number): number | null => (index < line.length ? (cook.stageStarts[index] ?? null) : cook.offFireS)
  const known = line.map((stage, index) => ({ stage, index })).filter(({ stage }) => dish.steps.includes(stage.id))
  const doings: StepProgress[] = []
  const spans: Record<string, Durations> = {}
  known.forEach(({ stage, index }, i) => {
    const step = `${dish.id}.${stage.id}`
    const cooling = line.findIndex((other, j) => j > index && (other.does === 'cool' || other.does === 'rest'))
    const next = Math.min(known[i + 1]?.index ?? line.length, cooling > 0 ? cooling : line.length)
    const begun = at(index)
    const ended = at(next)
    if (begun !== null) doings.push({ step, begun: minuteOf(begun), ended: ended === null ? null : minuteOf(ended) })
    const start = forecast?.stages[index]
    const end = forecast?.stages[next]
    if (ended !== null || !start || !end) return
    const from = begun ?? start.middle
    const minutes = (timeS: number): number => Math.max(1, Math.round((timeS - from) / 60))
    spans[step] = [
      Math.min(minutes(end.early), minutes(end.middle)),
      minutes(end.middle),
      Math.max(minutes(end.late), minutes(end.middle)),
    ]
  })
  for (const side of sideStages(plan.dish)) {
    const lit = cook.lit[side.vessel]
    if (lit === undefined || !dish.steps.includes(side.id)) continue
    const ready = cook.ready[side.vessel]
    doings.push({
      step: `${dish.id}.${side.id}`,
      begun: minuteOf(lit),
      ended: ready === undefined ? null : minuteOf(ready),
    })
  }
  for (const [id, timeS] of Object.entries(cook.steps))
    if (dish.steps.includes(id))
      doings.push({ step: `${dish.id}.${id}`, begun: minuteOf(timeS), ended: minuteOf(timeS) })
  return { doings, spans }
}
