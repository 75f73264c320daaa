import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { INGREDIENTS } from '../../book/ingredients'
import { exampleSpread } from '../../test/support/spreads'
import { dayShopping } from './dayShopping'

const spread = exampleSpread({ name: 'Sunday' })

describe('what to buy for a day', () => {
  it('adds up what its dishes need, once for all, less what is in the house', () => {
    const list = dayShopping(spread, INGREDIENTS, [], 20_000)
    const one = dayShopping({ dishes: spread.dishes.slice(0, 1) }, INGREDIENTS, [], 20_000)
    for (const line of one)
      expect(list.find(other => other.ingredient === line.ingredient)!.neededG).toBeCloseTo(2 * line.neededG, 6)
    const semolina = list.find(line => line.dishes.length === 2)!
    const store = [
      { id: 's', ingredient: semolina.ingredient, massG: 50_000, gotOn: 19_990, openedOn: null, useBy: null },
    ]
    expect(
      dayShopping(spread, INGREDIENTS, store, 20_000).find(line => line.ingredient === semolina.ingredient)!.packagesG,
    ).toEqual([])
  })

  it('buys milk where its thickened milk is made at home', () => {
    const carrot = STARTER_DISHES.find(one => one.id === 'winter-market-carrot')!
    const buys = (thickens: boolean): Record<string, number> =>
      Object.fromEntries(
        dayShopping(
          { dishes: [{ ...spread.dishes[0]!, card: carrot, baseG: 1000, thickens }] },
          INGREDIENTS,
          [],
          20_000,
        ).map(line => [line.ingredient, line.neededG]),
      )
    expect(buys(false)).toMatchObject({ khoya: 120, milk: 900 })
    expect(buys(true)).toMatchObject({ milk: 1500 })
    expect(buys(true)).not.toHaveProperty('khoya')
  })
})
