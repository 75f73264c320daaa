import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { INGREDIENTS } from '../../../book/ingredients'
import { EVERY_FIRE, EVERY_PAN, everySchool, planOf } from '../../../test/support/everyWay'
import type { Ingredient } from '../../materials/composition/ingredient'
import { forecastCook } from '../../process/forecast/forecastCook'
import { mainLine } from './mainLine'
import { LEAST_LIQUID_G, pressureFit, withPressureWater } from './pressure'
import { stageDish } from '../stages/stageDish'
import { troublesOf } from './troublesOf'
import { withChoice } from './withChoice'

const rowOf = (id: string): Ingredient => INGREDIENTS.find(row => row.id === id)!
const cardOf = (id: string) => STARTER_DISHES.find(card => card.id === id)!
const waterOf = (id: string): number => rowOf(id).composition.water
const codes = (card: ReturnType<typeof cardOf>): string[] => troublesOf(card).map(one => one.code)
const watered = (id: string, baseG: number) => withPressureWater(stageDish(cardOf(id)), baseG, waterOf)

describe('a pressure pan', () => {
  it('is refused without liquid, for what froths and for grain, and says what would do', () => {
    const dry = {
      ...cardOf('ember-sweet-potato'),
      choices: { ...cardOf('ember-sweet-potato').choices, liquid: 'none' as const },
    }
    expect(codes(dry)).toContain('pressure-needs-liquid')
    expect(troublesOf(dry).find(one => one.code === 'pressure-needs-liquid')!.offers).toEqual([
      { cooking: 'open' },
      { liquid: 'water' },
      { liquid: 'milk' },
    ])
    expect(
      codes(
        withChoice(
          {
            ...cardOf('orchard-ladder-apple'),
            choices: { ...cardOf('orchard-ladder-apple').choices, cooking: 'pressure' },
          },
          { liquid: 'milk' },
          rowOf,
        ),
      ),
    ).toEqual(['froths-under-pressure'])
    expect(
      codes({
        ...cardOf('sweet-water-semolina'),
        choices: { ...cardOf('sweet-water-semolina').choices, cooking: 'pressure' },
      }),
    ).toContain('grain-foams-under-pressure')
    const mung = cardOf('rain-day-mung')
    expect(codes({ ...mung, ingredients: mung.ingredients.filter(one => one.part !== 'water') })).toContain(
      'pressure-needs-liquid',
    )
  })

  it('takes the vegetable in its milk, which is cooked down in the open pan afterwards', () => {
    const dish = stageDish(cardOf('ember-sweet-potato'))
    const line = mainLine(dish).map(stage => stage.id).filter(id => id !== 'nuts')
    expect(line.slice(line.indexOf('press'), line.indexOf('press') + 3)).toEqual(['press', 'wait', 'milk'])
    const press = dish.stages.find(stage => stage.id === 'press')!
    expect(press.adds.map(one => one.ingredient)).toEqual(['vegetable', 'milk'])
    expect(dish.stages.find(stage => stage.id === 'milk')!.adds.map(one => one.ingredient)).not.toContain('milk')
    expect(dish.keystone.stage).toBe('milk')
    const both = stageDish(withChoice(cardOf('ember-sweet-potato'), { liquid: 'water-then-milk' }, rowOf))
    expect(both.stages.find(stage => stage.id === 'press')!.adds.map(one => one.ingredient)).toEqual([
      'vegetable',
      'water',
    ])
    expect(both.stages.find(stage => stage.id === 'milk')!.adds.map(one => one.ingredient)).toEqual(['milk'])
  })

  it('never stands on the fire with less than a cup of liquid, in any dish, school and amount', () => {
    const cards = everySchool().filter(card => card.choices.cooking === 'pressure')
    expect(cards.length).toBeGreaterThan(8)
    for (const card of cards) {
      for (const baseG of [50, 200, 800, 2000]) {
        const dish = withPressureWater(stageDish(card), baseG, waterOf)
        const fit = pressureFit(dish, baseG, rowOf)!
        expect(fit.liquidG, `${card.id} ${baseG}`).toBeGreaterThanOrEqual(LEAST_LIQUID_G - 1e-6)
        expect(fit.needsMl, `${card.id} ${baseG}`).toBeGreaterThan(1.49 * fit.contentMl)
        const press = dish.stages.find(stage => stage.id === 'press')!
        expect([press.cautions, press.watch].flat(), card.id).toEqual(expect.arrayContaining(['pressure', 'half-full']))
        expect(dish.stages.find(stage => stage.id === 'wait')!.watch, card.id).toContain('opens-itself')
      }
    }
  })

  it('is filled to half with milk or pulses, to two thirds else', () => {
    expect(pressureFit(watered('ember-sweet-potato', 800), 800, rowOf)!.most).toBe(1 / 2)
    expect(pressureFit(watered('rain-day-mung', 250), 250, rowOf)!.most).toBe(1 / 2)
    const water = withPressureWater(
      stageDish(withChoice(cardOf('ember-sweet-potato'), { liquid: 'water' }, rowOf)),
      800,
      waterOf,
    )
    expect(pressureFit(water, 800, rowOf)!.most).toBe(2 / 3)
    expect(pressureFit(stageDish(cardOf('winter-market-carrot')), 900, rowOf)).toBeNull()
  })

  it('gives the water beside back: it ends as wet as without, and never runs dry', () => {
    const plan = planOf(cardOf('ember-sweet-potato'), 100, EVERY_PAN[0]!, EVERY_FIRE[2]!)
    expect(plan.amounts.find(one => one.id === 'pressure-water')!.massG).toBeCloseTo(200, 0)
    const points = forecastCook(plan, [], 0, 1).points
    const press = mainLine(plan.dish).findIndex(stage => stage.id === 'press')
    for (const point of points.filter(one => one.stage <= press + 1)) expect(point.waterG).toBeGreaterThan(40)
    const share = (baseG: number): number => {
      const end = forecastCook(
        planOf(cardOf('ember-sweet-potato'), baseG, EVERY_PAN[0]!, EVERY_FIRE[0]!),
        [],
        0,
        1,
      ).points.at(-1)!
      return end.waterG / end.contentG
    }
    expect(Math.abs(share(200) - share(800))).toBeLessThan(0.1)
  })
})
