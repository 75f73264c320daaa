import { describe, expect, it } from 'vitest'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import { boundaryIndex } from '../../formulation/dish/boundaryIndex'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { CoreError } from '../../error'
import { familyOf } from '../../formulation/family/families'
import { guessFlames } from '../../record/plan/guessFlames'
import { replay } from '../../record/replay/replay'
import { compileProgram } from './compileProgram'
import { LID } from '../engine/cover'
import { SIGNS } from '../engine/signs'

const plan = examplePlan()
const compile = (...observations: Parameters<typeof marked>[]) =>
  compileProgram(plan, replay(plan, observations.map(one => marked(...one))), 100)

describe('a program', () => {
  it('has the main line in order and the other vessel beside it', () => {
    const program = compile()
    expect(program.stages.map(stage => stage.sign)).toEqual(
      ['nuts-golden', 'pale', null, 'taken-up', 'leaves-sides', null].map(sign =>
        sign === null ? null : SIGNS.findIndex(one => one === sign),
      ),
    )
    expect(program.stages.map(stage => stage.from)).toEqual([null, null, 0, null, null, null])
    expect(program.sides).toHaveLength(1)
    expect(program.sides[0]!.meets).toBe(2)
  })

  it.each([
    ['two-liquids-wheat', ['take-up', 'milk', 'sweeten', 'enrich']],
    ['winter-market-carrot', ['soften-2', 'milk', 'sweeten', 'enrich']],
    ['window-pane-wheat', ['thicken', 'sweeten', 'enrich-3']],
  ])('of %s lets what was just poured or put into a wet mass be stirred before its sign counts', (id, mixed) => {
    const made = starterPlan(id)
    const { stages } = compileProgram(made, replay(made, []), 0)
    expect(mainLine(made.dish).map(stage => stage.id).filter((_, k) => stages[k]!.leastS > 0)).toEqual(mixed)
  })

  it('puts in what the dish weighs, all of it and the nuts twice', () => {
    const program = compile()
    const put = [...program.stages, ...program.sides].flatMap(stage => stage.adds)
      .reduce((sum, add) => sum + add.water + add.solids + add.fat + add.sugar + add.invert + add.nuts, 0)
    const nuts = plan.amounts.find(one => one.id === 'cashew')!.massG
    expect(put).toBeCloseTo(plan.amounts.reduce((sum, one) => sum + one.massG, 0) + nuts, 9)
  })

  it('takes a stage nobody marked as begun with the next one that was', () => {
    const program = compile(
      [1, 0, 'cook.started'],
      [2, 300, 'stage.began', { stage: 'roast' }],
      [3, 900, 'stage.began', { stage: 'enrich' }],
    )
    expect(program.stages.map(stage => stage.startS)).toEqual([0, 300, 900, 900, 900, null])
  })

  it('lays flames and lids over the plan at their times, and passes over marks it does not have', () => {
    const program = compile(
      [1, 0, 'cook.started'],
      [2, 50, 'flame.changed', { vessel: 'pan', mark: 'm6' }],
      [3, 60, 'flame.changed', { vessel: 'pan', mark: 'm99' }],
      [4, 70, 'lid.changed', { vessel: 'pan', lid: true }],
      [5, 80, 'flame.changed', { vessel: 'pot', mark: 'off' }],
      [6, 90, 'off.fire', { vessel: 'pan' }],
    )
    expect(program.controls).toEqual([
      { timeS: 50, vessel: 0, flame: { fire: 'mainFire', watts: 1300, ladder: Math.log(1300 / 450), lagS: 0 } },
      { timeS: 70, vessel: 0, cover: LID },
      { timeS: 80, vessel: 1, flame: { fire: 'otherFire', watts: 0, ladder: 0, lagS: 0 } },
      { timeS: 90, vessel: 0, flame: { fire: 'mainFire', watts: 0, ladder: 0, lagS: 0 } },
    ])
  })

  it('asks every member for the readings that were taken, in order of time, and for what the pan weighs and is now', () => {
    const program = compile(
      [1, 0, 'cook.started'],
      [2, 90, 'temperature', { tempC: 120 }],
      [3, 40, 'weighed', { grossG: 1700 }],
    )
    expect(program.queries).toEqual([
      { timeS: 90, of: 'content-g' },
      { timeS: 90, of: 'temp-c' },
      { timeS: 100, of: 'content-g' },
      { timeS: 100, of: 'temp-c' },
    ])
  })

  it('is refused for a flame or a vessel that is not there', () => {
    expect(() => compileProgram({ ...plan, flames: {} }, replay(plan, []), 0)).toThrow(CoreError)
    expect(() => compileProgram({ ...plan, vessels: {} }, replay(plan, []), 0)).toThrow(CoreError)
    expect(() => familyOf('granite')).toThrow(CoreError)
  })
})

describe('a dish', () => {
  it('has a main line, side stages, and boundaries between', () => {
    expect(mainLine(plan.dish).map(stage => stage.id)).toEqual(['nuts', 'roast', 'pour', 'take-up', 'enrich', 'rest'])
    expect(sideStages(plan.dish).map(stage => stage.id)).toEqual(['sweet-water'])
    expect(boundaryIndex(plan.dish, plan.dish.keystone)).toBe(2)
    expect(boundaryIndex(plan.dish, { stage: 'rest', edge: 'end' })).toBe(6)
    expect(() => boundaryIndex(plan.dish, { stage: 'sweet-water', edge: 'start' })).toThrow(CoreError)
  })

  it('gets the nearest mark by ratio for every flame it asks for', () => {
    const flames = guessFlames(plan.dish, plan.fires)
    expect(flames).toEqual({ 'nuts': 'm4', 'roast': 'm3', 'sweet-water': 'm3', 'take-up': 'm4', 'enrich': 'm4' })
    const one = { id: 'f', name: 'Coil', marks: [{ id: 'only', label: 'on', watts: 900 }] }
    expect(new Set(Object.values(guessFlames(plan.dish, { pan: one, pot: one })))).toEqual(new Set(['only']))
  })
})
