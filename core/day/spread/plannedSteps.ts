import { dayOf } from './dayOf'
import { lanesOf, stepsOf, type PlannedStep } from '../problem/lanesOf'
import { paddedDay, paddingOf } from '../problem/paddedDay'
import type { Spread } from './spread'

/** Steps of a day's plan, and whose hands do them. */
export interface PlannedSteps {
  readonly steps: readonly PlannedStep[]
  /** Name of the hands by step. */
  readonly who: ReadonlyMap<string, string>
}

/**
 * The steps of the plan that a day is kept with.
 *
 * @param spread the day
 * @returns its steps by their start, or null where it has no plan, or one that leaves a step out
 */
export function plannedSteps(spread: Spread): PlannedSteps | null {
  const { plan } = spread
  const day = dayOf(spread, 0)
  if (
    !plan
    || !day.dishes.every(dish =>
      dish.activities.every(activity => plan.starts[`${dish.id}.${activity.id}`] !== undefined),
    )
  )
    return null
  const padded = paddedDay(day, paddingOf(plan.room))
  const who = new Map(
    lanesOf(padded, plan.starts).hands.flatMap((lane, i) =>
      lane.map(span => [span.step, spread.hands[i]?.name ?? ''] as const),
    ),
  )
  return { steps: stepsOf(padded, plan.starts), who }
}
