import { describe, expect, it } from 'vitest'
import { rowOf } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { addNeeds, lastDay, shopping } from '../store/shopping'
import { grindSurplus } from './grindSurplus'
import { milkFor } from './milkYields'
import { preparedWeight } from './preparedWeight'
import { milkMark, reduceMilk } from './reduceMilk'

describe('getting ready', () => {
  it('tells what to buy for what is needed peeled', () => {
    expect(preparedWeight(930, rowOf('sweet-potato').yields, 'grated')).toEqual({
      asBoughtG: 930 / 0.86,
      preparedG: 930,
      soakedG: 930,
      groundG: 930,
    })
  })

  it('roughly doubles a lentil that is soaked, and loses a few per cent in grinding', () => {
    const mung = preparedWeight(250, rowOf('mung-split').yields, 'raw-paste')
    expect(mung.soakedG / mung.preparedG).toBeCloseTo(2.05)
    expect(mung.groundG / mung.soakedG).toBeCloseTo(0.965)
    expect(mung.groundG).toBeCloseTo(250 * 2.05)
    expect(() => preparedWeight(-1, rowOf('ghee').yields, 'as-bought')).toThrow(CoreError)
  })

  it('takes the time that the heat takes: twice the milk, twice the minutes', () => {
    const one = reduceMilk(1000, 500, 700, 25)
    expect(one.boiledOffG).toBe(500)
    expect(one.minutes).toBeCloseTo((1000 * 3.9 * 75.3 + 500 * 2257) / (700 * 0.82) / 60, 6)
    expect(reduceMilk(2000, 1000, 700, 25).minutes).toBeCloseTo(2 * one.minutes)
    expect(reduceMilk(1000, 500, 1400, 25).minutes).toBeCloseTo(one.minutes / 2)
    expect(one.early).toBeLessThan(one.minutes)
    expect(one.late).toBeGreaterThan(one.minutes)
    for (const bad of [
      [10, 5, 700, 25],
      [1000, 50, 700, 25],
      [1000, 500, 0, 25],
      [1000, 500, 700, 150],
    ] as [number, number, number, number][])
      expect(() => reduceMilk(...bad)).toThrow(CoreError)
  })

  it('strays as far as the power that is told, and takes the lower middle of the flames', () => {
    const guessed = reduceMilk(1000, 200, 500, 25)
    const known = reduceMilk(1000, 200, 500, 25, 1.1)
    expect(known.minutes).toBe(guessed.minutes)
    expect(known.late / known.minutes).toBeCloseTo(1.1, 9)
    expect(known.minutes / known.early).toBeCloseTo(1.1, 9)
    expect(guessed.late).toBeGreaterThan(known.late)
    expect([['a'], ['a', 'b'], ['a', 'b', 'c'], ['a', 'b', 'c', 'd']].map(milkMark)).toEqual(['a', 'a', 'b', 'b'])
  })

  it('gives 15 to 20 % of the milk as curds and about a fifth as thickened milk', () => {
    const curds = milkFor(100, 'curds')
    expect([curds.early, curds.late].map(Math.round)).toEqual([500, 667])
    expect(curds.limeMl).toBeGreaterThan(5)
    expect(milkFor(100, 'thickened').middle).toBeCloseTo(500)
    expect(() => milkFor(0, 'curds')).toThrow(CoreError)
  })

  it('grinds no less than the grinder turns, and leaves a surplus for the store', () => {
    const little = grindSurplus(120, 0.965)
    expect(little.grindG).toBe(200)
    expect(little.surplusG).toBeGreaterThan(60)
    expect(little.usedG + little.surplusG).toBeCloseTo(little.flourG)
    expect(grindSurplus(1000, 0.965).surplusG).toBeCloseTo(0)
    expect(() => grindSurplus(0, 0.965)).toThrow(CoreError)
  })
})

describe('the store and what to buy', () => {
  const today = 20_000
  const item = (ingredient: string, massG: number, more = {}) => ({
    id: ingredient,
    ingredient,
    massG,
    gotOn: today - 3,
    openedOn: null,
    useBy: null,
    ...more,
  })

  it('uses what is in the house first, and buys the rest in packages', () => {
    const needs = addNeeds([
      { ingredient: 'sugar', massG: 300, dishes: ['a'] },
      { ingredient: 'water', massG: 900, dishes: ['a'] },
      { ingredient: 'sugar', massG: 500, dishes: ['b'] },
      { ingredient: 'ghee', massG: 210, dishes: ['a'] },
    ])
    expect(needs[0]).toEqual({ ingredient: 'sugar', massG: 800, dishes: ['a', 'b'] })
    const lines = shopping(needs, [item('sugar', 200), item('ghee', 500)], rowOf, today)
    expect(lines.map(line => line.ingredient)).toEqual(['sugar', 'ghee'])
    expect(lines[0]).toMatchObject({ inHouseG: 200, packagesG: [1000], leftG: 400 })
    expect(lines[1]).toMatchObject({ packagesG: [], leftG: 290 })
  })

  it('takes several packages where one is not enough, and two small ones rather than a big one', () => {
    const buy = (massG: number) => shopping([{ ingredient: 'ghee', massG, dishes: [] }], [], rowOf, today)[0]!.packagesG
    expect(buy(150)).toEqual([200])
    expect(buy(390)).toEqual([200, 200])
    expect(buy(2300)).toEqual([1000, 1000, 200, 200])
    expect(buy(2450)).toEqual([1000, 1000, 500])
    expect(buy(600)).toEqual([1000])
  })

  it('does not count what is past its day, opened or not', () => {
    expect(lastDay(item('milk', 1, { openedOn: today - 3 }), rowOf('milk'))).toBe(today - 1)
    expect(lastDay(item('milk', 1, { useBy: today + 5 }), rowOf('milk'))).toBe(today + 5)
    expect(lastDay(item('milk', 1, { openedOn: today, useBy: today + 1 }), rowOf('milk'))).toBe(today + 1)
    expect(
      shopping(
        [{ ingredient: 'milk', massG: 400, dishes: [] }],
        [item('milk', 500, { openedOn: today - 3 })],
        rowOf,
        today,
      )[0],
    ).toMatchObject({ inHouseG: 0, packagesG: [500] })
  })
})
