import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { examplePlan, marked, rowOf } from '../../../test/support/plans'
import { replay } from '../../record/replay/replay'
import type { FaultCause } from './causes'
import { changeWorked } from './changeWorked'
import { editedDish, editFor, editForLiking, type DishEdit } from './dishEdit'

const plan = examplePlan()

describe('what to change of a dish', () => {
  const card = STARTER_DISHES[0]!
  const record = {
    plan,
    cook: replay(plan, [marked(1, 0, 'cook.started')]),
    summary: { weighed: false, baseG: 250, finishedG: null, plannedFinishedG: null } as never,
  }
  const offBy = (byG: number) => ({
    ...record,
    summary: { weighed: true, baseG: 250, finishedG: 1000 + byG, plannedFinishedG: 1000 } as never,
  })

  it('follows the cause, a tenth where nothing was weighed', () => {
    const of = (cause: FaultCause): DishEdit | null => editFor(cause, record)
    expect(of('too-wet')).toEqual({ kind: 'amount', role: 'liquid', times: 0.9 })
    expect(of('too-dry')).toEqual({ kind: 'amount', role: 'liquid', times: 1.1 })
    expect(of('more-fat')).toEqual({ kind: 'amount', role: 'fat', times: 0.9 })
    expect([of('less-fat'), of('rolled-cool')]).toEqual([1, 1].map(() => ({ kind: 'amount', role: 'fat', times: 1.1 })))
    expect(of('more-sugar')).toEqual({ kind: 'amount', role: 'sugar', times: 0.9 })
    expect(of('less-sugar')).toEqual({ kind: 'amount', role: 'sugar', times: 1.1 })
    expect(of('roast-short')).toEqual({ kind: 'minutes', stages: ['roast'], times: 1.2 })
    expect(of('roast-long')).toEqual({ kind: 'minutes', stages: ['roast'], times: 0.8 })
    expect(of('off-early')).toEqual({ kind: 'minutes', stages: ['take-up', 'enrich'], times: 1.2 })
    expect(of('off-late')).toEqual({ kind: 'minutes', stages: ['take-up', 'enrich'], times: 0.8 })
    const { stages } = record.plan.dish
    const short = { ...record, plan: { ...record.plan, dish: { ...record.plan.dish, stages: stages.filter(one => one.id !== 'enrich') } } }
    expect(editFor('off-early', short)).toEqual({ kind: 'minutes', stages: ['take-up'], times: 1.2 })
    expect(editFor('off-late', short)).toEqual({ kind: 'minutes', stages: ['take-up'], times: 0.8 })
    for (const hand of ['unstirred', 'flame-high', 'thin-pan', 'rolled-warm', 'sour'] as const)
      expect(of(hand)).toBeNull()
  })

  it('takes what the scale says over the liquid, within what a dish bears', () => {
    const liquidG = plan.dish.ingredients
      .filter(one => one.part === 'water' || one.part === 'milk')
      .reduce((sum, one) => sum + 250 * one.perBase, 0)
    const times = (cause: FaultCause, byG: number): number => {
      const edit = editFor(cause, offBy(byG))
      return edit?.kind === 'amount' ? edit.times : Number.NaN
    }
    expect(times('too-wet', 0.08 * liquidG)).toBeCloseTo(0.92, 9)
    expect(times('too-wet', 0.5 * liquidG)).toBeCloseTo(0.82, 9)
    expect(times('too-wet', -0.08 * liquidG)).toBeCloseTo(0.96, 9)
    expect(times('too-dry', -0.08 * liquidG)).toBeCloseTo(1.08, 9)
    expect(times('too-dry', 0.08 * liquidG)).toBeCloseTo(1.04, 9)
  })

  it('makes the next version of it, or none where there is nothing to change', () => {
    const next = editedDish(card, { kind: 'amount', role: 'fat', times: 1.1 }, rowOf, 'x'.repeat(500))!
    expect([next.version, next.note?.length]).toEqual([card.version + 1, 400])
    for (const [i, one] of next.ingredients.entries())
      expect(one.perBase).toBe(
        one.part === 'fat' ? Math.round(card.ingredients[i]!.perBase * 11000) / 1e4 : card.ingredients[i]!.perBase,
      )
    expect(editedDish(card, { kind: 'choice', key: 'sugar', value: card.choices.sugar }, rowOf, '')).toBeNull()
    expect(editedDish(card, { kind: 'minutes', stages: ['none'], times: 2 }, rowOf, '')).toBeNull()
    expect(
      editedDish(
        { ...card, ingredients: card.ingredients.filter(one => one.part !== 'fat') },
        { kind: 'amount', role: 'fat', times: 1.1 },
        rowOf,
        '',
      ),
    ).toBeNull()
    const timed = { ...card, usual: { ...card.usual, minutes: { roast: 11, enrich: 0.4 } } }
    expect(
      editedDish(timed, { kind: 'minutes', stages: ['roast', 'enrich', 'none'], times: 1.2 }, rowOf, '')!.usual.minutes,
    ).toEqual({ roast: 13, enrich: 0.5 })
  })

  it('is what those who ate it would have', () => {
    expect(editForLiking('sweetness', 'more')).toEqual({ kind: 'amount', role: 'sugar', times: 1.1 })
    expect(editForLiking('richness', 'less')).toEqual({ kind: 'amount', role: 'fat', times: 0.9 })
    expect(editForLiking('softness', 'less')).toEqual({ kind: 'amount', role: 'liquid', times: 0.95 })
    expect(editForLiking('softness', 'more')).toEqual({ kind: 'amount', role: 'liquid', times: 1.05 })
  })

  it('has worked by the batches of that version or a later one, after it was made', () => {
    const change = { dish: 'd', version: 2, fault: 'runny', cause: 'too-wet' }
    const batch = (startedAt: number, version: number | null, faults: string[], dishId = 'd') => ({
      dishId,
      version,
      startedAt,
      faults,
    })
    const all = [
      batch(10, 2, ['runny']),
      batch(11, 2, ['runny']),
      batch(12, 1, ['runny']),
      batch(13, 3, ['dry']),
      batch(14, null, ['runny']),
      batch(15, 2, [], 'e'),
    ]
    expect(changeWorked([{ change, at: 10 }], all)).toEqual([{ change, at: 10, since: 2, again: 1 }])
    expect(
      changeWorked(
        [
          { change, at: 1 },
          { change, at: 9 },
          { change, at: 5 },
        ],
        [],
      ).map(one => one.at),
    ).toEqual([9, 5, 1])
  })
})
