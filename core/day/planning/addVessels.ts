import { entryAt } from '../../maths/table/itemAt'
import type { DayDish, Hold, VesselKind } from '../problem/day'
import { holdsOf } from '../problem/holdsOf'
import { ALWAYS, type Literal } from '../solver/literal'
import type { ModelParts, Step } from './modelParts'
import { Timetable, type Use } from '../solver/timetable'

/**
 * Vessels and machines: a hold takes one vessel of its kind, a large pan also serving where a heavy one is needed, and
 * keeps it from its first to its last step.
 *
 * @param model in which the steps and waits are, with its order settled
 */
export function addVessels(model: ModelParts): void {
  const { day, search } = model
  const counts = new Map<VesselKind, number>()
  for (const vessel of day.vessels) counts.set(vessel.kind, (counts.get(vessel.kind) ?? 0) + 1)
  const holds = day.dishes.flatMap(dish =>
    holdsOf(dish).map(hold => ({
      hold,
      literals: whichVessel(model, hold, dish, counts),
      first: model.ofDish(dish, hold.first),
      last: model.ofDish(dish, hold.last),
    })),
  )
  const wash = day.washMin ?? 0
  for (const [kind, count] of counts) {
    const uses = holds.flatMap(held =>
      held.literals.has(kind) ? [heldUse(model, held.first, held.last, wash, entryAt(held.literals, kind))] : [],
    )
    if (uses.length > 1) search.timetables.push(new Timetable(search.domains, count, uses))
    if (count > 1) continue
    const here = holds.filter(held => held.literals.has(kind))
    here.forEach((a, i) => here.slice(0, i).forEach((b) => {
      const list = [entryAt(a.literals, kind), entryAt(b.literals, kind)].filter(literal => literal.side !== 0)
      const key = -1 - (holds.indexOf(a) * 1000 + holds.indexOf(b))
      model.ordered(
        key,
        [a.last.variable, a.first.variable, a.first.length + wash],
        [b.last.variable, b.first.variable, b.first.length + wash],
        [list],
      )
    }))
  }
  const heavy = holds.filter(held => held.hold.need === 'heavy' || held.hold.need === 'heavyL')
  const total = (counts.get('heavy') ?? 0) + (counts.get('heavyL') ?? 0)
  if (counts.has('heavy') && counts.has('heavyL') && heavy.length > total)
    search.timetables.push(
      new Timetable(
        search.domains,
        total,
        heavy.map(held => heldUse(model, held.first, held.last, wash, ALWAYS)),
      ),
    )
}

/** A hold as the use of a resource, washing included. */
function heldUse(model: ModelParts, first: Step, last: Step, wash: number, literal: Literal): Use {
  const length = Math.max(first.length, model.path(last.variable, first.variable) + first.length) + wash
  return {
    start: last.variable,
    startPlus: 0,
    end: first.variable,
    endPlus: first.length + wash,
    length,
    demand: 1,
    ifSide: literal.side,
    ifValue: literal.value,
  }
}

/** Literal of each kind of vessel serving a hold. */
function whichVessel(
  model: ModelParts,
  hold: Hold,
  dish: DayDish,
  counts: ReadonlyMap<VesselKind, number>,
): Map<VesselKind, Literal> {
  if (hold.need === 'heavy' && counts.has('heavyL')) {
    if (!counts.has('heavy')) return new Map([['heavyL', ALWAYS]])
    const large = model.choice([model.ofDish(dish, hold.first).variable], false)
    return new Map([
      ['heavy', { side: 2 * large + 1, value: 0 }],
      ['heavyL', { side: 2 * large, value: 1 }],
    ])
  }
  return new Map([[hold.need, ALWAYS]])
}
