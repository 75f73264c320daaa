import { describe, expect, it } from 'vitest'
import { starterPlan } from '../../../test/support/plans'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import { constant } from '../../materials/constants/constants'
import { WANTED_W } from './guessFlames'
import { usualSeconds } from './usualSeconds'

const plan = starterPlan('sweet-water-semolina')

describe('the usual time of a stage', () => {
  const stage = (id: string) => plan.dish.stages.find(one => one.id === id)!
  const minutes = (id: string) => usualMinutes(plan.dish, stage(id)) * 60
  const at = (baseShare: number, watts: number, id: string) => usualSeconds({
    ...plan,
    amounts: plan.amounts.map(one => (one.id === plan.dish.base ? { ...one, massG: baseShare * plan.dish.usual.baseG } : one)),
    flames: { [id]: 'm1' },
    fires: { pan: { ...plan.fires.pan!, marks: [{ id: 'm1', label: 'm1', watts }] } },
  }, stage(id))

  it('grows with the amount and falls with the flame, by their powers; what waits for minutes does neither', () => {
    const wanted = WANTED_W[stage('roast').flame]
    expect(at(1, wanted, 'roast')).toBeCloseTo(minutes('roast'), 6)
    expect(at(4, wanted, 'roast')).toBeCloseTo(minutes('roast') * 4 ** constant('massPower'), 6)
    expect(at(1, wanted / 2, 'roast')).toBeCloseTo(minutes('roast') * 2 ** constant('flamePower'), 6)
    expect(at(4, 50, 'rest')).toBe(minutes('rest'))
    expect(at(4, 50, 'pour')).toBe(minutes('pour'))
    expect(usualSeconds({ ...plan, amounts: [], flames: {} }, stage('roast'))).toBeCloseTo(minutes('roast'), 6)
  })
})
