import { describe, expect, it } from 'vitest'
import { inventDay } from '../../../cli/plans/inventDay'
import { seededRandom } from '../../maths/random/seededRandom'
import { DayModel } from './model'
import { keptOf, neighbourhood } from './neighbourhoods'

/** A model of an invented day with the first plan that is found in it. */
function planned(seed: number, dishes: number): { model: DayModel, values: readonly number[] } {
  const model = new DayModel(inventDay(seed, dishes))
  let values: readonly number[] = []
  model.search.run({ conflicts: 5000, stop: () => values.length > 0, onFound: (found) => { values = [...found] } })
  expect(values.length).toBeGreaterThan(0)
  return { model, values }
}

describe('a neighbourhood', () => {
  const { model, values } = planned(4, 5)
  const uniform = seededRandom(7)

  it('opens whole dishes, or steps that lie beside one another in time, never fewer than would let anything move', () => {
    const dishesOf = (open: ReadonlySet<number>): Set<string> =>
      new Set(model.steps.filter(step => open.has(step.variable)).map(step => step.dish.id))
    const ordered = [...model.steps]
      .sort((a, b) => values[a.variable]! - values[b.variable]!)
      .map(step => step.variable)
    const kinds = { dishes: 0, time: 0 }
    for (let i = 0; i < 80; i++) {
      const open = neighbourhood(model, values, 0.3, uniform)
      expect(open.size).toBeGreaterThanOrEqual(4)
      const whole = model.steps.filter(step => dishesOf(open).has(step.dish.id)).length === open.size
      const places = [...open].map(variable => ordered.indexOf(variable)).sort((a, b) => a - b)
      const beside = places.at(-1)! - places[0]! + 1 === places.length
      if (whole) kinds.dishes++
      else kinds.time++
      expect(whole || beside).toBe(true)
    }
    expect(Math.min(kinds.dishes, kinds.time)).toBeGreaterThan(10)
  })

  it('is larger with a larger share, and everything at most', () => {
    const mean = (share: number): number =>
      Array.from({ length: 60 }, () => neighbourhood(model, values, share, uniform).size).reduce(
        (sum, size) => sum + size,
        0,
      ) / 60
    expect(mean(0.3)).toBeLessThan(mean(0.7))
    expect(mean(1)).toBe(model.steps.length)
  })

  it('keeps only choices of steps outside it, as the plan has them', () => {
    const open = neighbourhood(model, values, 0.4, uniform)
    const kept = keptOf(model, values, open)
    expect(kept.length % 2).toBe(0)
    for (let i = 0; i < kept.length; i += 2) {
      const variable = kept[i]! >> 1
      const choice = model.choices.find(one => one.variable === variable)!
      expect(choice.steps.some(step => open.has(step))).toBe(false)
      expect(values[variable]).toBe(kept[i + 1])
    }
    expect(keptOf(model, values, new Set(model.steps.map(step => step.variable)))).toEqual([])
    const all = keptOf(model, values, new Set())
    expect(all.length / 2).toBe(
      model.choices.filter(choice => !choice.oneSided || values[choice.variable] === 1).length,
    )
  })

  it('never loses the plan it was made of: what is kept allows it, and what is found in it is no worse', () => {
    const cost = model.search.objective.most
    for (let i = 0; i < 12; i++) {
      const open = neighbourhood(model, values, 0.5, uniform)
      const ended = model.search.run({
        conflicts: 60,
        assumed: keptOf(model, values, open),
        stop: () => false,
        onFound: () => undefined,
      })
      expect(['exhausted', 'limit']).toContain(ended)
      expect(model.search.objective.most).toBeLessThanOrEqual(cost)
    }
  })
})
