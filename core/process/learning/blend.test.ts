import { describe, expect, it } from 'vitest'
import { marked, starterPlan } from '../../../test/support/plans'
import { FIRST_WEIGHT, blendedPace, pacedStages, spanS } from '../usual/blendedPace'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import type { CookPlan } from '../../record/plan/plan'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { compileProgram } from '../program/compileProgram'
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
    // The limits of what minutes may move: the physics are then not the ones of this dish.
    expect(blendedPace(withMinutes(50), 'wetPace', 1)).toBe(0.45)
  })

  it('brings the stages to the geometric mean of the two, by the power of their minutes', () => {
    const lasts = (of: CookPlan, pace: number): number => {
      const program = compileProgram(of, replay(of, []), 0)
      const member = memberValues(beliefColumns(of.belief), new Float64Array(MEMBER_NAMES.length), 0)
      return spanS(program, pacedStages(program, 'wetPace'), { ...member, wetPace: pace })
    }
    for (const times of [0.8, 1.25]) {
      const of = withMinutes(times)
      const program = compileProgram(of, replay(of, []), 0)
      const usualS = pacedStages(program, 'wetPace').reduce((sum, k) => sum + 60 * usualMinutes(of.dish, mainLine(of.dish)[k]!), 0)
      // A straight line in logs over a factor of 1.3 stands for the curve: a twentieth off at most.
      expect(Math.log(lasts(of, blendedPace(of, 'wetPace', 0.5)) / Math.sqrt(lasts(of, 1) * usualS))).toBeCloseTo(0, 1)
    }
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
    // Three batches off by 0.3 each count from the start: 0.27 on both sides, then the squares of what was off.
    expect(blendWeight(better)).toBeCloseTo((0.27 + 4 * 0.05 ** 2) / (0.54 + 4 * (0.05 ** 2 + 0.4 ** 2)), 9)
    expect(blendWeight(worse)).toBeCloseTo((0.27 + 4 * 0.4 ** 2) / (0.54 + 4 * (0.05 ** 2 + 0.4 ** 2)), 9)
    // No single batch counts for more than one that was off by a whole e-fold.
    expect(blendWeight([off(PHYSICS_OFF, 9)])).toBe(blendWeight([off(PHYSICS_OFF, -1)]))
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
