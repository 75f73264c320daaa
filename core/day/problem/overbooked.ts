import { activityOf } from './parts'
import { fieldAt } from '../../maths/table/itemAt'
import type { Day, Starts, VesselKind } from './day'
import { holdsOf } from './holdsOf'
import { stepsOf } from './lanesOf'
import { cooksThere, nobodyThere } from './presence'

/**
 * Steps that are still to begin and would then find no fire, no hands or no vessel: something was lost, or takes
 * longer.
 *
 * @param day with what there is now
 * @param starts start minutes by `dish.activity`
 * @param begun steps that are begun: nothing can be done about those
 * @returns steps, `dish.activity`
 */
export function overbooked(day: Day, starts: Starts, begun: ReadonlySet<string>): string[] {
  const steps = stepsOf(day, starts)
  const holds = day.dishes.flatMap(dish =>
    holdsOf(dish).map(hold => ({
      need: hold.need,
      first: `${dish.id}.${hold.first}`,
      from: fieldAt(starts, `${dish.id}.${hold.first}`),
      to:
        fieldAt(starts, `${dish.id}.${hold.last}`)
        + activityOf(dish, hold.last).dur[1]
        + (day.washMin ?? 0),
    })),
  )
  const gone = nobodyThere(day)
  return steps.filter((step) => {
    if (begun.has(step.step)) return false
    const going = steps.filter(other => other.from <= step.from && step.from < other.to)
    if (
      step.activity.burner > 0
      && (going.filter(one => one.activity.burner > 0).length > day.burners
        || gone.some(([from, to]) => from < step.to && step.from < to))
    )
      return true
    if (
      step.activity.hands > 0
      && going.reduce((sum, one) => sum + Number(one.activity.hands), 0) > cooksThere(day, step.from)
    )
      return true
    return holds.some(
      hold =>
        hold.first === step.step
        && !vesselLeft(
          day,
          hold.need,
          holds.filter(other => other.from <= hold.from && hold.from < other.to),
        ),
    )
  }).map(step => step.step)
}

/** Whether vessels suffice for what is held at a minute: the large heavy ones alone, and all heavy ones together. */
function vesselLeft(day: Day, need: VesselKind, held: readonly { readonly need: VesselKind }[]): boolean {
  const there = (...kinds: VesselKind[]): number => day.vessels.filter(vessel => kinds.includes(vessel.kind)).length
  const taken = (...kinds: VesselKind[]): number => held.filter(hold => kinds.includes(hold.need)).length
  if (need === 'heavy' || need === 'heavyL')
    return taken('heavyL') <= there('heavyL') && taken('heavy', 'heavyL') <= there('heavy', 'heavyL')
  return taken(need) <= there(need)
}
