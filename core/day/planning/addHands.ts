import type { Day } from '../problem/day'
import { ALWAYS, type Literal } from '../solver/literal'
import type { ModelParts, Reheat, Step } from './modelParts'
import { reheatUse } from './reheatUse'
import { Timetable, type Use } from '../solver/timetable'

/**
 * Who does what: each step and each reheating by one person who is there for all of it, a whole person for one step or
 * half for each of two. With several people their sum is a resource of its own, which propagates sooner.
 *
 * @param model in which the steps and waits are
 */
export function addHands(model: ModelParts): void {
  const { day, search } = model
  const handed = model.steps.filter(step => step.activity.hands > 0).map(step => ({ step, by: whoDoes(model, step) }))
  const warmed = model.reheats.filter(one => one.hands > 0).map(reheat => ({ reheat, by: whoReheats(model, reheat) }))
  for (let cook = 0; cook < day.cooks; cook++) {
    const steps = handed.flatMap(({ step, by: { [cook]: literal } }) => literal ? [{ step, literal }] : [])
    const reheats = warmed.flatMap(({ reheat, by: { [cook]: literal } }) => literal ? [{ reheat, literal }] : [])
    search.timetables.push(new Timetable(search.domains, 2, [
      ...steps.map(({ step, literal }) => model.use(step, 2 * step.activity.hands, literal)),
      ...reheats.map(({ reheat, literal }) => reheatUse(reheat, 2 * reheat.hands, literal)),
    ]))
    for (const away of day.away) {
      if (away.cook !== 'all' && away.cook !== cook) continue
      for (const { step, literal } of steps) model.closeTo(step.variable, step.length, away.from, away.to, literal)
      for (const { reheat, literal } of reheats)
        model.closeTo(reheat.variable, reheat.length, away.from, away.to, literal)
    }
  }
  if (day.cooks > 1) {
    const away = day.away.map(({ cook, from, to }): Use => ({
      start: 0,
      startPlus: model.origin - to,
      end: 0,
      endPlus: model.origin - from,
      length: to - from,
      demand: cook === 'all' ? 2 * day.cooks : 2,
      ifSide: 0,
      ifValue: 0,
    }))
    if (!overlapping(day.away))
      search.timetables.push(
        new Timetable(search.domains, 2 * day.cooks, [
          ...away,
          ...handed.map(({ step }) => model.use(step, 2 * step.activity.hands, ALWAYS)),
          ...warmed.map(({ reheat }) => reheatUse(reheat, 2 * reheat.hands, { side: 2 * reheat.again, value: 1 })),
        ]),
      )
  }
  handed.forEach((one, i) => {
    for (const other of handed.slice(0, i)) {
      if (one.step.activity.hands + other.step.activity.hands > 1)
        model.apart(one.step, other.step, both(one.by, other.by))
    }
  })
}

/** Literal of each cook doing a step; undefined for those who may not. */
function whoDoes(model: ModelParts, step: Step): (Literal | undefined)[] {
  const { nogoods } = model.search
  const able = Array.from(
    { length: model.day.cooks },
    (_, cook) => !step.activity.cooks || step.activity.cooks.includes(cook),
  )
  const count = able.filter(Boolean).length
  if (count === 1) return able.map(may => may ? ALWAYS : undefined)
  if (count === 2) {
    const second = model.choice([step.variable], false)
    let seen = 0
    return able.map(may =>
      !may ? undefined : seen++ === 0 ? { side: 2 * second + 1, value: 0 } : { side: 2 * second, value: 1 },
    )
  }
  const literals = able.map(may => may ? { side: 2 * model.choice([step.variable], true), value: 1 } : undefined)
  const sides = literals.flatMap(literal => literal ? [literal.side] : [])
  nogoods.add([...sides], sides.map(() => 1), 0)
  sides.forEach((side, a) => sides.slice(0, a).forEach(other => nogoods.add([side ^ 1, other ^ 1], [0, 0], 0)))
  return literals
}

/** Literal of each cook heating a liquid again, none of which holds if it is not. */
function whoReheats(model: ModelParts, reheat: Reheat): (Literal | undefined)[] {
  const { nogoods } = model.search
  const again = { side: 2 * reheat.again, value: 1 }
  const may = model.steps.find(step => step.variable === reheat.from)?.activity.cooks
  const able = Array.from({ length: model.day.cooks }, (_, cook) => !may || may.includes(cook))
  if (able.filter(Boolean).length === 1) return able.map(one => (one ? again : undefined))
  const all = able.map(one => (one ? { side: 2 * model.choice([reheat.from], true), value: 1 } : undefined))
  const literals = all.filter(literal => literal !== undefined)
  nogoods.add([again.side ^ 1, ...literals.map(literal => literal.side)], [0, ...literals.map(() => 1)], 0)
  for (const literal of literals) nogoods.add([literal.side ^ 1, again.side], [0, 1], 0)
  literals.forEach((a, i) => literals.slice(0, i).forEach(b => nogoods.add([a.side ^ 1, b.side ^ 1], [0, 0], 0)))
  return all
}

function overlapping(away: Day['away']): boolean {
  return away.some((a, i) =>
    away.some(
      (b, j) => j < i && (a.cook === 'all' || b.cook === 'all' || a.cook === b.cook) && a.from < b.to && b.from < a.to,
    ),
  )
}

/** Pairs of literals under which the same cook does both. */
function both(a: readonly (Literal | undefined)[], b: readonly (Literal | undefined)[]): Literal[][] {
  return a.flatMap((literal, cook) => {
    const other = b[cook]
    return literal && other ? [[literal, other].filter(one => one.side !== 0)] : []
  })
}
