import { itemAt, wholeAt } from '../../maths/table/itemAt'
import type { Uniform } from '../../maths/random/seededRandom'
import type { DayModel } from './model'

/** A neighbourhood of a plan: variables of the steps whose order and hands are open again. */
export type Neighbourhood = ReadonlySet<number>

/**
 * Chooses what is opened in large-neighbourhood search (Shaw, 1998): a few dishes, or a span of time.
 *
 * @param model the day
 * @param values the plan, by variable
 * @param share part of the steps to be opened, 0 to 1
 * @param uniform chance
 */
export function neighbourhood(
  model: DayModel,
  values: readonly number[],
  share: number,
  uniform: Uniform,
): Neighbourhood {
  return uniform() < 0.5 ? someDishes(model, share, uniform) : someTime(model, values, share, uniform)
}

function someDishes(model: DayModel, share: number, uniform: Uniform): Neighbourhood {
  const dishes = [...model.day.dishes]
  for (let i = dishes.length - 1; i > 0; i--) {
    const j = Math.floor(uniform() * (i + 1));
    [dishes[i], dishes[j]] = [itemAt(dishes, j), itemAt(dishes, i)]
  }
  const open = new Set(dishes.slice(0, Math.max(2, Math.round(share * dishes.length))))
  return new Set(model.steps.filter(step => open.has(step.dish)).map(step => step.variable))
}

function someTime(model: DayModel, values: readonly number[], share: number, uniform: Uniform): Neighbourhood {
  const sorted = [...model.steps].sort((a, b) => wholeAt(values, a.variable) - wholeAt(values, b.variable))
  const count = Math.max(4, Math.round(share * sorted.length))
  const from = Math.floor(uniform() * Math.max(1, sorted.length - count + 1))
  return new Set(sorted.slice(from, from + count).map(step => step.variable))
}

/**
 * What is kept of a plan outside a neighbourhood: the order of steps, who does them and what is heated again (a
 * partial-order relaxation; Godard, Laborie and Nuijten, 2005). Times are free to move.
 *
 * @returns literals, as pairs of side and value
 */
export function keptOf(model: DayModel, values: readonly number[], open: Neighbourhood): number[] {
  const kept: number[] = []
  for (const choice of model.choices) {
    if (choice.steps.some(step => open.has(step))) continue
    if (values[choice.variable] === 1) kept.push(2 * choice.variable, 1)
    else if (!choice.oneSided) kept.push(2 * choice.variable + 1, 0)
  }
  return kept
}
