import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { SWAPS } from '../../../book/swaps'
import { rowOf } from '../../../test/support/plans'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { DishCard } from '../dish/dish'
import { troublesOf } from '../dish/troublesOf'
import { CoreError } from '../../error'
import { nonNegative } from '../../maths/linear/nonNegative'
import { measuredAmounts } from '../proportions/measuredAmounts'
import { applySwap } from './applySwap'
import { balanceOf } from './balanceOf'
import { solveSwap } from './solveSwap'
import { BALANCES, type Balance } from './swap'

const starter = (id: string) => STARTER_DISHES.find(dish => dish.id === id)!
const rule = (id: string) => SWAPS.find(swap => swap.id === id)!
const balances = (dish: DishCard): Record<Balance, number> =>
  Object.fromEntries(
    BALANCES.map(balance => [
      balance,
      dish.ingredients.reduce((sum, one) => sum + one.perBase * balanceOf(rowOf(one.ingredient))[balance], 0),
    ]),
  ) as Record<Balance, number>
const every = STARTER_DISHES.flatMap(dish =>
  dish.ingredients.flatMap(one =>
    SWAPS.filter(swap => swap.from.includes(one.ingredient)).map(swap => ({ dish, id: one.id, swap })),
  ),
)

describe('non-negative least squares', () => {
  it('agrees with a slow search on a grid', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 2, maxLength: 2 }), {
          minLength: 3,
          maxLength: 3,
        }),
        fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (rows, target) => {
          fc.pre([0, 1].every(k => rows.reduce((sum, row) => sum + row[k]! ** 2, 0) > 0.05))
          const miss = (x: readonly number[]): number =>
            rows.reduce((sum, row, i) => sum + (row[0]! * x[0]! + row[1]! * x[1]! - target[i]!) ** 2, 0)
          const x = nonNegative(rows, target)
          expect(Math.min(...x)).toBeGreaterThanOrEqual(0)
          for (let i = 0; i <= 40; i++)
            for (let j = 0; j <= 40; j++) expect(miss(x)).toBeLessThanOrEqual(miss([i / 10, j / 10]) + 1e-6)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('swaps', () => {
  it('cover milk, milk solids, sugars, fats, plant milks, fruit and grain grades, with rows for all they name', () => {
    expect(every.length).toBeGreaterThan(150)
    for (const swap of SWAPS)
      for (const id of [...swap.from, ...swap.to])
        expect(
          INGREDIENTS.some(row => row.id === id),
          `${swap.id}: ${id}`,
        ).toBe(true)
    expect(new Set(SWAPS.map(swap => swap.id)).size).toBe(SWAPS.length)
  })

  it.each(every.map(one => [`${one.dish.id}: ${one.id} by ${one.swap.id}`, one] as const))(
    '%s keeps what it claims',
    (_, { dish, id, swap }) => {
      const outcome = solveSwap(dish, id, swap, rowOf)
      const after = applySwap(dish, outcome, rowOf)
      const was = balances(dish)
      const is = balances(after)
      const scale =
        id === dish.base ? dish.ingredients.find(one => one.id === id)!.perBase / outcome.changes[1]!.after : 1
      for (const balance of BALANCES) {
        const told = outcome.unkept.find(one => one.balance === balance)?.perBase ?? 0
        if (balance === 'water' && swap.liquidFactor !== undefined) continue
        expect(Math.abs(is[balance] / scale - was[balance] - told), balance).toBeLessThan(0.0125)
      }
      for (const one of after.ingredients) expect(one.perBase).toBeGreaterThanOrEqual(0)
      expect(after.ingredients.find(one => one.id === after.base)!.perBase).toBe(1)
      expect(troublesOf(after).filter(trouble => trouble.code === 'liquid-is-missing')).toEqual([])
    },
  )

  it('never warn of little liquid for the water that they put in themselves', () => {
    const isDry = (dish: DishCard): boolean => measuredAmounts(dish, 250, INGREDIENTS, FIRST_KITCHEN.measures[0]!, [])
      .some(({ standing }) => standing?.role === 'liquid' && standing.outside === 'below' && standing.sure === 'surely')
    for (const { dish, id, swap } of every) {
      const after = applySwap(dish, solveSwap(dish, id, swap, rowOf), rowOf)
      if (!isDry(dish)) expect(isDry(after), `${dish.id} ${swap.id}`).toBe(false)
    }
  })

  it('turn milk into powder and water as every packet says', () => {
    const { changes, unkept } = solveSwap(starter('milk-morning-semolina'), 'milk', rule('milk-to-powder'), rowOf)
    const powder = changes.find(one => one.ingredient === 'milk-powder')!.after
    expect(powder / 4.6).toBeGreaterThan(0.11)
    expect(powder / 4.6).toBeLessThan(0.16)
    expect(changes.find(one => one.ingredient === 'water')!.after).toBeGreaterThan(3.8)
    expect(unkept.filter(one => one.balance !== 'milk-solids' && one.balance !== 'fat')).toEqual([])
  })

  it('give less butter fat for the same butter, and take its water out of the pour', () => {
    const dish = starter('sweet-water-semolina')
    const { changes } = solveSwap(dish, 'ghee', rule('ghee-to-butter'), rowOf)
    expect(changes.find(one => one.ingredient === 'butter')!.after).toBeCloseTo(0.78 / 0.82, 1)
    expect(changes.find(one => one.ingredient === 'water')!.after).toBeCloseTo(4.2 - 0.78 / 0.82 * 0.16, 1)
  })

  it('say what cannot be kept: condensed milk brings more sugar than a little sugar can give way', () => {
    const dish = {
      ...starter('winter-market-carrot'),
      ingredients: starter('winter-market-carrot').ingredients.map(one =>
        one.part === 'sugar' ? { ...one, perBase: 0.02 } : one,
      ),
    }
    const { unkept, sweetness } = solveSwap(dish, 'milk', rule('milk-to-condensed'), rowOf)
    expect(unkept.find(one => one.balance === 'sugar')!.perBase).toBeGreaterThan(0.012)
    expect(sweetness).toBeGreaterThan(0)
  })

  it('ask for more water for a coarser grain', () => {
    const after = applySwap(
      starter('sweet-water-semolina'),
      solveSwap(starter('sweet-water-semolina'), 'semolina', rule('semolina-medium-to-semolina-coarse'), rowOf),
      rowOf,
    )
    expect(after.ingredients[0]).toMatchObject({ id: 'semolina', ingredient: 'semolina-coarse', perBase: 1 })
    expect(after.ingredients.find(one => one.part === 'water')!.perBase).toBeCloseTo(4.2 * 1.08, 2)
  })

  it('are refused for what the dish does not have', () => {
    expect(() => solveSwap(starter('sweet-water-semolina'), 'milk', rule('milk-to-powder'), rowOf)).toThrow(CoreError)
    expect(() => solveSwap(starter('sweet-water-semolina'), 'sugar', rule('milk-to-powder'), rowOf)).toThrow(CoreError)
  })
})

describe('what a gram brings to each balance', () => {
  const nutrients = {
    water: 10, protein: 20, fat: 5, sucrose: 12, glucose: 3, fructose: 2, maltose: 1, lactose: 8, starch: 30, fibre: 4, ash: 6, acids: 1, energyKj: 1000,
  }
  const of = (kind: Ingredient['kind'], allergens: Ingredient['allergens'], lactose = 8) =>
    balanceOf({ nutrients: { ...nutrients, lactose }, kind, allergens })

  it('of a milk, sugars of its own count with protein and ash as milk solids', () => {
    expect(of('milk', ['milk'])).toEqual({
      'water': 0.1, 'fat': 0.05, 'sugar': 0, 'milk-solids': expect.closeTo((20 + 26 + 6) / 100, 9) as number, 'starch': 0,
    })
  })

  it('of a condensed one, what was added to it counts as sugar', () => {
    expect(of('condensed', ['milk'])).toMatchObject({ 'sugar': expect.closeTo(0.18, 9) as number, 'milk-solids': expect.closeTo(0.34, 9) as number })
  })

  it('of anything else all its sugars are sugar; protein counts with starch in a base alone', () => {
    expect(of('base', [], 0)).toMatchObject({ 'sugar': expect.closeTo(0.18, 9) as number, 'milk-solids': 0, 'starch': expect.closeTo(0.5, 9) as number })
    expect(of('nuts', ['cashew'], 0)).toMatchObject({ starch: expect.closeTo(0.3, 9) as number })
    // Ghee is of milk and has no sugar of milk.
    expect(of('fat', ['milk'], 0)).toMatchObject({ 'milk-solids': 0, 'starch': expect.closeTo(0.3, 9) as number })
  })
})
