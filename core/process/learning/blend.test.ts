import { describe, expect, it } from 'vitest'
import { marked, starterPlan } from '../../../test/support/plans'
import { FIRST_WEIGHT, blendedPace } from '../usual/blendedPace'
import { mainLine } from '../../formulation/dish/mainLine'
import { replay } from '../../record/replay/replay'
import { blendEvidence } from './blendEvidence'
import { usualSeconds } from '../../record/plan/usualSeconds'
import { blendWeight, PHYSICS_OFF, USUAL_OFF } from '../usual/blendWeight'

const plan = starterPlan('winter-market-carrot')
const withMinutes = (factor: number) => ({
  ...plan,
  dish: {
    ...plan.dish,
    usual: {
      ...plan.dish.usual,
      minutes: Object.fromEntries(
        Object.entries(plan.dish.usual.minutes).map(([id, minutes]) => [id, minutes * factor]),
      ),
    },
  },
})
const off = (name: string, value: number) => ({ name, of: 'blend', value, variance: 0, batch: 'b' })

describe('the pace of wet stages', () => {
  it('is the physics\' own where the usual minutes do not count', () => {
    expect(blendedPace(plan, 'wetPace', 0)).toBe(1)
  })

  it('is slower the longer the usual minutes are', () => {
    const paces = [0.7, 1, 1.4].map(factor => blendedPace(withMinutes(factor), 'wetPace', FIRST_WEIGHT))
    expect(paces).toEqual([...paces].sort((p, q) => q - p))
    expect(paces[0]!).toBeGreaterThan(paces[2]!)
  })

  it('moves further the more the usual minutes count, and never out of reason', () => {
    const [half, whole] = [0.5, 1].map(weight => blendedPace(withMinutes(2), 'wetPace', weight))
    expect(Math.abs(Math.log(whole!))).toBeGreaterThanOrEqual(Math.abs(Math.log(half!)))
    expect(blendedPace(withMinutes(50), 'wetPace', 1)).toBe(0.45)
  })

  it('is one where nothing is roasted or nothing wet', () => {
    expect(blendedPace(starterPlan('orchard-ladder-apple'), 'roastPace', 0.5)).toBe(1)
  })
})

describe('the weight of the usual minutes', () => {
  it('is half at first', () => {
    expect(blendWeight([])).toBe(0.5)
  })

  it('falls where the physics were nearer in the household\'s own batches, and rises where they were not', () => {
    const better = [1, 2, 3, 4].flatMap(() => [off(PHYSICS_OFF, 0.05), off(USUAL_OFF, -0.4)])
    const worse = [1, 2, 3, 4].flatMap(() => [off(PHYSICS_OFF, 0.4), off(USUAL_OFF, -0.05)])
    expect(blendWeight(better)).toBeLessThan(0.4)
    expect(blendWeight(worse)).toBeGreaterThan(0.6)
    expect(blendWeight([...better, ...better])).toBeLessThan(blendWeight(better))
  })
})

describe('a finished cook', () => {
  it('says how far physics and custom each were off its wet stages', () => {
    const line = mainLine(plan.dish)
    let nowS = 0
    const told = [marked(1, 0, 'cook.started'), ...line.slice(1).map((stage, i) => {
      nowS += usualSeconds(plan, line[i]!)
      return marked(i + 2, nowS, 'stage.began', { stage: stage.id })
    })]
    const found = blendEvidence(plan, replay(plan, told))
    expect(found.map(one => one.name)).toEqual([PHYSICS_OFF, USUAL_OFF])
    expect(Math.abs(found[1]!.value)).toBeLessThan(1e-3)
    expect(Math.abs(found[0]!.value)).toBeGreaterThan(0.02)
    expect(blendEvidence(plan, replay(plan, told.slice(0, 2)))).toEqual([])
  })
})
