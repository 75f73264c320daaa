import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { EVERY_FIRE, EVERY_PAN, everySchool, planOf } from '../../../test/support/everyWay'
import { mainLine } from '../../formulation/dish/mainLine'
import type { Stage } from '../../formulation/dish/dish'
import { forecastCook } from '../forecast/forecastCook'
import type { CookPlan } from '../../record/plan/plan'
import { smokePointC } from './heatLimits'
import { HEAT_CAUTIONS } from '../../formulation/dish/stageCodes'

/**
 * All amounts, pans, fires and schools, set by hand: `EVERY_WAY=1`. Else every third of them, another third for the
 * next dish.
 */
const MANY = process.env.EVERY_WAY !== undefined
const heats = (stage: Stage): string[] =>
  (stage.cautions ?? []).filter(code => (HEAT_CAUTIONS as readonly string[]).includes(code))
const stageOf = (plan: CookPlan, id: string): Stage => plan.dish.stages.find(stage => stage.id === id)!
/** Moments of the middle run above the smoke point in a stage without a caution, and numbers that cannot exist. */
function wrong(plan: CookPlan): string[] {
  const smokeC = smokePointC(plan) ?? Infinity
  const line = mainLine(plan.dish)
  return forecastCook(plan, [], 0, 1).points.flatMap(({ stage, tempC, panC }) => {
    const at = line[Math.min(stage, line.length - 1)]!
    const unsaid = tempC > smokeC && heats(at).length === 0
    return unsaid || tempC > 300.1 || !(panC < 600) ? [`${at.id} ${Math.round(tempC)} ${Math.round(panC)}`] : []
  })
}

describe('a ceiling for heat', () => {
  it('is there for every fat of the table', () => {
    for (const row of INGREDIENTS.filter(one => one.kind === 'fat')) expect(row.smokeC, row.id).toBeGreaterThan(120)
    const plan = planOf(STARTER_DISHES[0]!, 180, EVERY_PAN[0]!, EVERY_FIRE[0]!)
    expect(smokePointC(plan)).toBe(230)
    const butter = {
      ...plan,
      amounts: [...plan.amounts, { ...plan.amounts.find(one => one.ingredient === 'ghee')!, id: 'b', smokeC: 150 }],
    }
    expect(smokePointC(butter)).toBe(150)
  })

  it('leaves the usual amounts of the book on the usual fire as they are, but for fats that smoke early', () => {
    const told = STARTER_DISHES.filter(card =>
      planOf(card, card.usual.baseG, EVERY_PAN[0]!, EVERY_FIRE[0]!).dish.stages.some(stage => heats(stage).length > 0),
    )
    for (const card of told)
      expect(
        card.ingredients.some(one => ['sesame-oil', 'coconut-oil', 'butter'].includes(one.ingredient)),
        card.id,
      ).toBe(true)
    expect(told.length).toBeLessThan(6)
  })

  it('takes a mark lower that was guessed, says so, and leaves one that was chosen with the caution', () => {
    const card = STARTER_DISHES.find(one => one.id === 'mill-lane-jaggery-semolina')!
    const strong = EVERY_FIRE[2]!
    const guessed = planOf(card, 250, EVERY_PAN[0]!, strong)
    expect(guessed.flames.roast).toBe('m0')
    expect(heats(stageOf(guessed, 'roast'))).toContain('smoke')
    const chosen = planOf(card, 250, EVERY_PAN[0]!, strong, { roast: 'm2' })
    expect(chosen.flames.roast).toBe('m2')
    expect(heats(stageOf(chosen, 'roast'))).toContain('smoke')
  })

  it('is kept or said in every dish, pan, fire and amount from 50 g to 2 kg', () => {
    for (const [i, card] of STARTER_DISHES.entries()) {
      for (const [j, baseG] of (MANY ? [50, 100, 250, 600, 2000] : [50, 2000]).entries()) {
        for (const [k, pan] of (MANY ? EVERY_PAN : EVERY_PAN.slice(0, 3)).entries()) {
          for (const [l, fire] of EVERY_FIRE.entries())
            if (MANY || (i + j + k + l) % 3 === 0)
              expect(wrong(planOf(card, baseG, pan, fire)), `${card.id} ${baseG} ${pan.id} ${fire.id}`).toEqual([])
        }
      }
    }
  }, 240_000)

  it('is kept or said in every school, little and much in a thin pan on a fierce fire', () => {
    const cards = everySchool()
    expect(cards.length).toBeGreaterThan(300)
    for (const [i, card] of cards.entries()) {
      for (const baseG of MANY ? [50, 250, 2000] : i % 3 !== 0 ? [] : [i % 2 === 0 ? 50 : 2000])
        expect(
          wrong(planOf(card, baseG, EVERY_PAN[1]!, EVERY_FIRE[2]!)),
          `${card.id} ${JSON.stringify(card.choices)} ${baseG}`,
        ).toEqual([])
    }
  }, 240_000)
})
