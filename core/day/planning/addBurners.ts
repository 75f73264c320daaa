import { ALWAYS } from '../solver/literal'
import type { ModelParts } from './modelParts'
import { nobodyThere } from '../problem/presence'
import { reheatUse } from './reheatUse'
import { Timetable } from '../solver/timetable'

/**
 * Fires: as many steps as there are fires, and none where nobody is there to watch.
 *
 * @param model in which the steps and waits are, with its order settled
 */
export function addBurners(model: ModelParts): void {
  const { day, search } = model
  const lit = model.steps.filter(step => step.activity.burner > 0)
  const again = model.reheats.map(reheat => reheatUse(reheat, 1, { side: 2 * reheat.again, value: 1 }))
  search.timetables.push(
    new Timetable(search.domains, day.burners, [...lit.map(step => model.use(step, 1, ALWAYS)), ...again]),
  )
  for (const [from, to] of nobodyThere(day)) {
    for (const step of lit) model.closeTo(step.variable, step.length, from, to, ALWAYS)
    for (const reheat of model.reheats)
      model.closeTo(reheat.variable, reheat.length, from, to, { side: 2 * reheat.again, value: 1 })
  }
  if (day.burners === 1) lit.forEach((a, i) => lit.slice(0, i).forEach(b => model.apart(a, b, [[]])))
}
