import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { examplePlan, marked, starter } from '../../../test/support/plans'
import { settleCook } from '../../cook/batch/settleCook'
import { mainLine } from '../../formulation/dish/mainLine'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import type { CookPlan } from '../../record/plan/plan'
import { contentMass, stageContents } from '../../formulation/yield/contents'
import { learnedMinutes } from '../learning/learnedMinutes'
import { usualSeconds } from '../../record/plan/usualSeconds'
import { usualTotalMinutes } from '../../formulation/dish/usualTotalMinutes'

function planOf(id: string, baseG?: number): CookPlan {
  const dish = starter(id)
  const all = <T>(one: T): Record<string, T> => Object.fromEntries(dish.vessels.map(vessel => [vessel.id, one]))
  return examplePlan({
    dish,
    baseG: baseG ?? dish.usual.baseG,
    pans: all(FIRST_KITCHEN.pans[0]!),
    fires: all(FIRST_KITCHEN.fires[0]!),
    flames: {},
  })
}
const carrot = planOf('winter-market-carrot')

describe('usual seconds', () => {
  it('takes longer for more of it and on a smaller flame', () => {
    const soften = mainLine(carrot.dish).find(stage => stage.id === 'soften')!
    expect(usualSeconds(planOf('winter-market-carrot', 1800), soften)).toBeCloseTo(
      Math.SQRT2 * usualSeconds(carrot, soften),
      6,
    )
    expect(usualSeconds({ ...carrot, flames: { ...carrot.flames, soften: 'm1' } }, soften)).toBeGreaterThan(
      usualSeconds(carrot, soften),
    )
  })
})

describe('what is in the pan', () => {
  it('keeps everything but the water that leaves', () => {
    for (const { id } of STARTER_DISHES) {
      const plan = planOf(id)
      const line = mainLine(plan.dish)
      const contents = stageContents(plan, line.map(stage => usualSeconds(plan, stage)))
      const fat = plan.amounts.reduce((sum, one) => sum + one.massG * one.composition.fat, 0)
      const end = contents.at(-1)!.to
      const lastNutsFat = plan.dish.choices?.nuts === 'last' ? 0.86 : 0.999
      expect(end.fat, id).toBeGreaterThan(lastNutsFat * fat - 1)
      expect(end.water).toBeGreaterThanOrEqual(0)
      contents.forEach(({ from, to }) => expect(contentMass(to)).toBeLessThanOrEqual(contentMass(from) + 1e-9))
    }
  })
})

describe('usual minutes', () => {
  it('are the dish\'s, then the family\'s, then the common kitchen\'s', () => {
    const dish = starter('winter-market-carrot')
    const stage = (id: string) => dish.stages.find(one => one.id === id)!
    expect(usualMinutes(dish, stage('milk'))).toBe(26)
    expect(usualMinutes({ ...dish, usual: { ...dish.usual, minutes: {} } }, stage('milk'))).toBe(22)
    expect(usualMinutes({ ...dish, family: 'semolina', usual: { ...dish.usual, minutes: {} } }, stage('milk'))).toBe(10)
    expect(usualTotalMinutes(starter('long-spoon-mung')).before).toBeGreaterThan(240)
  })

  it('are given for every stage at the fire of every starter dish, in the dish itself', () => {
    for (const { id } of STARTER_DISHES) {
      const dish = starter(id)
      for (const stage of mainLine(dish))
        if (!/^(pour|rest|enrich.*|take-up)$/.test(stage.id))
          expect(dish.usual.minutes[stage.id], `${id} ${stage.id}`).toBeDefined()
    }
  })

  it('are moved by the household\'s own batches, and more by more of them', () => {
    const cook = [
      marked(1, 0, 'cook.started'),
      ...mainLine(carrot.dish)
        .slice(1)
        .map((stage, i) => marked(i + 2, 900 * (i + 1), 'stage.began', { stage: stage.id })),
      marked(20, 9000, 'cook.finished'),
    ]
    const { evidence, summary } = settleCook(carrot, cook)
    expect(summary.endS).toBe(900 * (mainLine(carrot.dish).length - 1))
    const once = learnedMinutes(carrot.dish, evidence)
    const often = learnedMinutes(
      carrot.dish,
      [1, 2, 3, 4].flatMap(i => evidence.map(one => ({ ...one, batch: `b${i}` }))),
    )
    expect(once.usual.minutes.milk!).toBeLessThan(26)
    expect(often.usual.minutes.milk!).toBeLessThan(once.usual.minutes.milk!)
    expect(often.usual.minutes.milk!).toBeGreaterThan(14.9)
    expect(learnedMinutes(carrot.dish, [])).toBe(carrot.dish)
  })
})
