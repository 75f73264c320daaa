import { mealOf } from '../problem/parts'
import { intAt, itemAt } from '../../maths/table/itemAt'
import { COST_SCALE, type ModelParts } from './modelParts'
import type { CostTerm } from '../solver/objective'
import { earlyCost } from '../problem/planCost'
import { presentBefore } from '../problem/presence'

/**
 * What a day costs: minutes present by meal, dishes that stand ready early, liquids heated again; or the minutes meals
 * are late, where that is what is sought.
 *
 * @param model in which the steps and waits are
 * @param lateness variables of the meals' lateness
 */
export function termsOf(model: ModelParts, lateness: readonly number[]): CostTerm[] {
  if (model.seeks === 'lateness')
    return lateness.map((variable, index) =>
      term(model, variable, late => late, model.day.horizon - itemAt(model.day.meals, index).at),
    )
  const { day } = model
  const present = presentBefore(day)
  const spans = day.meals.flatMap((meal) => {
    const counted = model.steps.filter(
      step => step.dish.meal === meal.id && step.activity.hands > 0 && !step.activity.night,
    )
    if (counted.length === 0) return []
    const zero = model.origin - meal.at
    const first = model.time(
      zero,
      model.origin - Math.min(day.now, ...(day.wishes ?? []).map(wish => (wish.kind === 'pin' ? wish.start : day.now))),
    )
    for (const step of counted) model.search.lags.add(2 * step.variable, 2 * first, step.length)
    return [term(model, first, value => day.weights.span * (present(meal.at) - present(model.origin - value)))]
  })
  const sinks = day.dishes.map((dish) => {
    const table = model.origin - mealOf(day, dish).at + dish.ready
    return term(model, model.ofDish(dish, dish.sink).variable, value =>
      earlyCost(day, dish, Math.max(0, value - table)),
    )
  })
  return [
    ...spans,
    ...sinks,
    ...model.reheats.map(reheat => term(model, reheat.again, value => day.weights.reheat * value)),
  ]
}

/** What a variable's value costs, as a table. */
function term(model: ModelParts, variable: number, cost: (value: number) => number, most?: number): CostTerm {
  const from = intAt(model.search.domains.bound, 2 * variable)
  const to = most ?? -intAt(model.search.domains.bound, 2 * variable + 1)
  return {
    variable,
    from,
    costs: Int32Array.from({ length: Math.max(1, to - from + 1) }, (_, i) => Math.round(COST_SCALE * cost(from + i))),
  }
}
