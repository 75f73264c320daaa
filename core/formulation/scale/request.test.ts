import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { rowOf } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { parseScale } from './parseScale'

const cup = { id: 'glass', name: 'Verandah glass', volumeMl: 180 }
const measures = [cup, { id: 'tbsp', name: 'Tablespoon', volumeMl: 15 }]
const trays = [{ name: 'Baking tin', shape: 'rectangle', widthMm: 200, lengthMm: 300, depthMm: 40 }] as const
const dish = STARTER_DISHES.find(one => one.id === 'ember-sweet-potato')!
const say = (text: string) => parseScale(text, { dish, rowOf, cup, measures, trays })
const refusal = (text: string): CoreError => {
  try {
    say(text)
  }
  catch (error) {
    if (error instanceof CoreError) return error
  }
  throw new Error(`${text} was taken`)
}
const box = (widthMm: number, lengthMm: number) => ({ shape: 'rectangle', widthMm, lengthMm })

describe('a tray that is told', () => {
  it('is in centimetres, or in the unit that comes next after a number, or else before it', () => {
    expect(say('tray 20 x 25 x 2')).toEqual({ by: 'tray', tray: box(200, 250), depthMm: 20 })
    expect(say('tray 20 x 25 cm, 15 mm')).toEqual({ by: 'tray', tray: box(200, 250), depthMm: 15 })
    expect(say('tray 8 x 10 x 1 inch')).toEqual({ by: 'tray', tray: box(203.2, 254), depthMm: 25.4 })
    expect(say('tin 8 inches x 10 in x 1')).toEqual({ by: 'tray', tray: box(203.2, 254), depthMm: 25.4 })
    expect(say('tray 200 mm x 250 x 20')).toEqual({ by: 'tray', tray: box(200, 250), depthMm: 20 })
    expect(say('tray 20, 2')).toEqual({ by: 'tray', tray: box(200, 200), depthMm: 20 })
  })

  it('is round where it is called so, and a plate always', () => {
    const disc = { shape: 'round', widthMm: 240, lengthMm: 240 }
    expect(say('round tin 24 cm, 2 cm')).toEqual({ by: 'tray', tray: disc, depthMm: 20 })
    expect(say('plate 24 x 2')).toEqual({ by: 'tray', tray: disc, depthMm: 20 })
    expect(refusal('round tin 24').limits).toMatchObject({ given: 'round tin 24', wanted: 'a tray as 20 x 20 x 2 cm' })
  })

  it('is one of the house by its name, to its brim or to a depth', () => {
    expect(say('baking tin')).toEqual({ by: 'tray', tray: box(200, 300), depthMm: 40 })
    expect(say('Baking tin, 2 cm')).toEqual({ by: 'tray', tray: box(200, 300), depthMm: 20 })
    expect(say('baking tin, 25 mm')).toEqual({ by: 'tray', tray: box(200, 300), depthMm: 25 })
  })
})

describe('a request of another kind', () => {
  it('is a factor above nothing, up to fifty', () => {
    expect(['x2', '× 1.5', '3x', '0.5 times', 'double', 'triple', 'halve', 'once'].map(text => say(text)))
      .toEqual([2, 1.5, 3, 0.5, 2, 3, 0.5, 1].map(factor => ({ by: 'times', factor })))
    expect(say('50x')).toEqual({ by: 'times', factor: 50 })
    expect([refusal('51x'), refusal('0x')].map(one => [one.code, one.limits.max])).toEqual([['out-of-range', 50], ['out-of-range', 50]])
  })

  it('is a count of balls, up to two thousand', () => {
    expect(say('2000 balls of 7.5 g')).toEqual({ by: 'balls', count: 2000, eachG: 7.5 })
    expect(say('24 rounds')).toEqual({ by: 'balls', count: 24, eachG: null })
    expect(['2001 balls', '0 balls', 'ten or so balls'].map(text => refusal(text).limits.wanted))
      .toEqual(Array.from({ length: 3 }, () => '24 balls of 30 g'))
  })

  it('is a pan, or a weight that is finished', () => {
    expect(['fill the pan', 'a panful', 'pan', 'as much as the pan holds'].map(text => say(text)))
      .toEqual(Array.from({ length: 4 }, () => ({ by: 'pan' })))
    expect(['900 g finished', '0.9 kg of halwa', '900 g in the end'].map(text => say(text)))
      .toEqual(Array.from({ length: 3 }, () => ({ by: 'finished', massG: 900 })))
  })

  it('is produce as bought, unless it says that it is ready', () => {
    const peeled = rowOf(dish.ingredients.find(one => one.id === dish.base)!.ingredient).yields.prepared
    expect(say('930 g sweet potato')).toEqual({ by: 'on-hand', id: dish.base, massG: 930 * peeled, asBought: true })
    expect(say('930 g sweet potato, peeled')).toEqual({ by: 'on-hand', id: dish.base, massG: 930, asBought: false })
    expect(say('930 g sweet potato, raw')).toEqual({ by: 'on-hand', id: dish.base, massG: 930 * peeled, asBought: true })
  })
})
