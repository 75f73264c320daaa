import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { examplePlan, starter, starterPlan } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { mainLine } from '../../formulation/dish/mainLine'

const [pan, pot] = FIRST_KITCHEN.pans
const [front] = FIRST_KITCHEN.fires

describe('the plan of a cook', () => {
  it('has every amount in proportion to the base, to a hundredth of a gram', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 20_000, noNaN: true }),
        fc.constantFrom(...STARTER_DISHES),
        (baseG, card) => {
          const dish = starter(card.id)
          const plan = starterPlan(card.id, { baseG })
          for (const one of dish.ingredients)
            expect(
              Math.abs(plan.amounts.find(known => known.id === one.id)!.massG - one.perBase * baseG),
            ).toBeLessThanOrEqual(0.00501)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('has a mark of its fire for every stage at the fire, of every starter dish', () => {
    for (const card of STARTER_DISHES) {
      const dish = starter(card.id)
      const onFire = new Set(['pan', 'pressure-pan'])
      const plan = examplePlan({
        dish, pans: Object.fromEntries(dish.vessels.map(one => [one.id, one.id === 'pan' ? pan! : pot!])),
        fires: Object.fromEntries(
          dish.vessels.map(one => [one.id, onFire.has(one.id) ? front! : FIRST_KITCHEN.fires[1]!]),
        ),
      })
      for (const stage of mainLine(dish)) {
        if (stage.flame === 'off') continue
        const mark = plan.flames[stage.id]
        expect(plan.fires[stage.vessel]!.marks.map(one => one.id), `${card.id} ${stage.id}`).toContain(mark)
      }
    }
  })

  it('takes the marks that were chosen in the place of guessed ones', () => {
    const guessed = examplePlan()
    const chosen = examplePlan({ flames: { roast: front!.marks[5]!.id } })
    expect(chosen.flames.roast).toBe(front!.marks[5]!.id)
    expect({ ...chosen.flames, roast: '' }).toEqual({ ...guessed.flames, roast: '' })
  })

  it('remembers which pans were only guessed: their weight says little', () => {
    const weighed = examplePlan({ pans: { pan: { ...pan!, massOrigin: 'weighed' }, pot: pot! } })
    expect(weighed.vessels.pan!.massGuessed).toBe(false)
    expect(weighed.vessels.pot!.massGuessed).toBe(true)
  })

  it('rests on the batches of its own fires alone', () => {
    const evidence = [
      { name: `fire.${front!.id}`, of: 'mainFire', value: 0.2, variance: 0.01, batch: 'b1' },
      { name: 'fire.elsewhere', of: 'mainFire', value: -1, variance: 0.01, batch: 'b2' },
    ]
    const entry = examplePlan({ evidence }).belief.entries.find(one => one.name === 'mainFire')!
    expect(entry.restsOn).toEqual(['b1'])
    expect(entry.median).toBeGreaterThan(1)
  })

  it('takes the household\'s own minutes, and leaves the dish it was given alone', () => {
    const dish = starter()
    const before = JSON.stringify(dish)
    const [stage, usual] = Object.entries(dish.usual.minutes).find(([, minutes]) => minutes > 1)!
    const name = `minutes.${dish.id}.${stage}`
    const evidence = [1, 2, 3].map(i => ({
      name,
      of: 'minutes',
      value: Math.log(usual * 2),
      variance: 0.01,
      batch: `b${i}`,
    }))
    const plan = examplePlan({ dish, evidence })
    expect(plan.dish.usual.minutes[stage]!).toBeGreaterThan(usual * 1.2)
    expect(plan.dish.usual.minutes[stage]!).toBeLessThan(usual * 2)
    expect(JSON.stringify(dish)).toBe(before)
  })

  it.each([
    ['no base', 0],
    ['a pinch of base', 4.9],
    ['a truck of base', 20_001],
    ['a base that is no number', Number.NaN],
  ])('is refused with %s', (_, baseG) => {
    expect(() => examplePlan({ baseG })).toThrow(CoreError)
  })

  it('is refused where the table lacks an ingredient, by its name', () => {
    const found = (() => {
      try {
        examplePlan({ ingredients: [] })
      }
      catch (error) {
        return error
      }
    })()
    expect(found).toMatchObject({ code: 'unknown-name', path: 'planCook.ingredients' })
  })
})
