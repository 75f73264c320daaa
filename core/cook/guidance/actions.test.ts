import { describe, expect, it } from 'vitest'
import { between, handForecast, storyTo, type More } from '../../../test/support/handForecast'
import { marked, starterPlan } from '../../../test/support/plans'
import type { Forecast } from '../../record/plan/forecast'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { actionsOf } from './actions'

/** The actions of a cook that has come to a stage, with marks beside, at a second of it. */
const actionsIn = (plan: CookPlan, stage: string, nowS: number, more: More = [], given: Partial<Forecast> = {}) =>
  actionsOf(plan, replay(plan, storyTo(plan, stage, more)), handForecast(given), nowS)
const codesIn = (...of: Parameters<typeof actionsIn>) => actionsIn(...of).map(one => one.code)
const seen = (timeS: number, sign: string) => [timeS, 'sign.seen', { sign }] as const
const looks = (timeS: number, step: string) => [timeS, 'looks.like', { step }] as const

/** Nuts 0, roast 100 (to pale), pour 200 of the pot, take up 300, enrich 400, rest 500. */
const plan = starterPlan('sweet-water-semolina')
const pot = (told: object) => ({ sides: [{ vessel: 'pot', meets: 2, needs: between(200, 300), lightS: null, boils: null, ...told }] })

describe('the big actions', () => {
  it('are one before the start and none after the end', () => {
    expect(actionsOf(plan, replay(plan, []), null, 0))
      .toEqual([{ role: 'done', code: 'start', marks: { kind: 'cook.started', payload: {} }, opens: null }])
    expect(actionsOf(plan, replay(plan, [...storyTo(plan, 'rest'), marked(60, 900, 'cook.finished')]), null, 950)).toEqual([])
  })

  it('mark the sign that is waited for, then that the next stage has begun', () => {
    expect(actionsIn(plan, 'nuts', 20)).toEqual([
      { role: 'seen', code: 'sign.nuts-golden', marks: { kind: 'sign.seen', payload: { sign: 'nuts-golden' } }, opens: null },
      { role: 'done', code: 'begin.roast', marks: { kind: 'stage.began', payload: { stage: 'roast' } }, opens: null },
    ])
    expect(codesIn(plan, 'nuts', 20, [seen(15, 'nuts-golden')])).toEqual(['begin.roast'])
    expect(codesIn(plan, 'take-up', 320)).toEqual(['sign.taken-up', 'begin.enrich'])
    expect(actionsIn(plan, 'rest', 700)).toEqual([
      { role: 'done', code: 'finish', marks: { kind: 'cook.finished', payload: {} }, opens: null },
    ])
  })

  it('of a roast are its smell and its colours; once a colour was seen, going on comes first', () => {
    expect(actionsIn(plan, 'roast', 120)).toEqual([
      { role: 'smelled', code: 'sign.aroma', marks: { kind: 'sign.seen', payload: { sign: 'aroma' } }, opens: null },
      { role: 'seen', code: 'looks', marks: null, opens: 'colours' },
      { role: 'done', code: 'begin.pour', marks: { kind: 'stage.began', payload: { stage: 'pour' } }, opens: null },
    ])
    expect(codesIn(plan, 'roast', 120, [seen(110, 'aroma')])).toEqual(['looks', 'begin.pour'])
    expect(codesIn(plan, 'roast', 120, [looks(110, 'pale')])).toEqual(['begin.pour', 'sign.aroma', 'looks'])
    // A roast that ends at its smell has no second button for it, a paste has none at all.
    expect(codesIn(starterPlan('milk-morning-semolina'), 'roast', 20)).toEqual(['sign.aroma', 'begin.pour'])
    expect(codesIn(starterPlan('long-spoon-mung'), 'paste', 120)).toEqual(['sign.crumbly', 'begin.roast'])
    // Minutes have nothing to see, and a colour says nothing of when they are over.
    expect(codesIn(starterPlan('school-day-vermicelli'), 'roast', 20, [looks(10, 'pale')])).toEqual(['sign.aroma', 'begin.pour'])
  })

  it('of a pour in parts are how it is taken up, until it takes no more', () => {
    const parts = starterPlan('first-offering-semolina')
    const uptake = (timeS: number, pace: string) => [timeS, 'uptake.seen', { pace }] as const
    expect(actionsIn(parts, 'pour', 110).map(one => [one.code, one.marks])).toEqual([
      ['uptake.quickly', { kind: 'uptake.seen', payload: { pace: 'quickly' } }],
      ['uptake.no-more', { kind: 'uptake.seen', payload: { pace: 'no-more' } }],
      ['begin.take-up', { kind: 'stage.began', payload: { stage: 'take-up' } }],
    ])
    expect(codesIn(parts, 'pour', 130, [uptake(120, 'no-more')])).toEqual(['begin.take-up'])
    expect(codesIn(parts, 'pour', 140, [uptake(120, 'no-more'), uptake(130, 'quickly')])[0]).toBe('uptake.quickly')
    expect(codesIn(parts, 'pour', 130, [uptake(99, 'no-more')])).toHaveLength(3)
    expect(codesIn(parts, 'pour', 130, [uptake(100, 'no-more')])).toHaveLength(1)
    expect(codesIn(plan, 'pour', 230, [uptake(220, 'quickly')])).toEqual(['begin.take-up'])
  })

  it('of what is pressed count its releases', () => {
    expect(actionsIn(starterPlan('cellar-beetroot'), 'press', 50).map(one => [one.code, one.marks])).toEqual([
      ['release', { kind: 'release.heard', payload: {} }],
      ['begin.wait', { kind: 'stage.began', payload: { stage: 'wait' } }],
    ])
  })
})

describe('the other vessel among the actions', () => {
  it('is lit first when it is due, and pushes out nothing that goes on', () => {
    const due = actionsIn(plan, 'roast', 490, [], pot({ lightS: 500 }))
    expect(due.map(one => one.code)).toEqual(['light.sweet-water', 'sign.aroma', 'begin.pour'])
    expect(due[0]!.marks).toEqual({ kind: 'vessel.lit', payload: { vessel: 'pot' } })
    expect(codesIn(plan, 'roast', 490, [looks(400, 'pale')], pot({ lightS: 500 })))
      .toEqual(['light.sweet-water', 'begin.pour', 'sign.aroma'])
  })

  it('is ready from three quarters of a minute before its window, in the second place', () => {
    const lit: More = [[150, 'vessel.lit', { vessel: 'pot' }]]
    const boils = pot({ boils: between(400, 500) })
    expect(codesIn(plan, 'roast', 354, lit, boils)).toEqual(['sign.aroma', 'looks', 'begin.pour'])
    const ready = actionsIn(plan, 'roast', 355, lit, boils)
    expect(ready.map(one => one.code)).toEqual(['sign.aroma', 'ready.sweet-water', 'looks', 'begin.pour'])
    expect(ready[1]!.marks).toEqual({ kind: 'sign.seen', payload: { sign: 'boil', vessel: 'pot' } })
    const none = ['sign.aroma', 'looks', 'begin.pour']
    expect(codesIn(plan, 'roast', 450, [], boils)).toEqual(none)
    expect(codesIn(plan, 'roast', 450, lit, pot({}))).toEqual(none)
    expect(codesIn(plan, 'roast', 450, [...lit, [300, 'sign.seen', { sign: 'boil', vessel: 'pot' }]], boils)).toEqual(none)
    expect(codesIn(plan, 'pour', 450, lit, boils)).toEqual(['begin.take-up'])
  })
})

describe('the actions of a question', () => {
  const asks = { stage: 'pour', atS: 300, sign: 'pale' } as const
  const doubts = (asked: object) => ({ nowS: 400, doubts: { asks: { ...asks, ...asked }, surprise: null } })
  it('are that it was, that it is now, or that it has not come', () => {
    expect(actionsIn(plan, 'roast', 420.4, [], doubts({})).map(one => [one.role, one.code, one.marks])).toEqual([
      ['done', 'asked.pour', { kind: 'stage.began', payload: { stage: 'pour', agoS: 120 } }],
      ['done', 'begin.pour', { kind: 'stage.began', payload: { stage: 'pour' } }],
      ['other', 'asked-not', { kind: 'not.yet', payload: { sign: 'pale' } }],
    ])
    expect(actionsIn(plan, 'roast', 420, [], doubts({ sign: null }))[2]!.marks)
      .toEqual({ kind: 'checked', payload: { what: 'going-on' } })
    expect(actionsIn(plan, 'roast', 420, [], doubts({ atS: 430 }))[0]!.marks)
      .toEqual({ kind: 'stage.began', payload: { stage: 'pour', agoS: 0 } })
    expect(actionsIn(plan, 'rest', 990, [], { ...doubts({ stage: null, atS: 900 }), nowS: 980 }).map(one => [one.code, one.marks])).toEqual([
      ['asked.finish', { kind: 'cook.finished', payload: { agoS: 90 } }],
      ['finish', { kind: 'cook.finished', payload: {} }],
      ['asked-not', { kind: 'not.yet', payload: { sign: 'pale' } }],
    ])
  })
})
