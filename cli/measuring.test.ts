import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../book/dishes'
import { FIRST_KITCHEN } from '../book/firstKitchen'
import { CoreError } from '../core/error'
import { amounts, scale, stages, swap } from './measuring'

const { measures, pans } = FIRST_KITCHEN
const dishOf = (id: string) => STARTER_DISHES.find(dish => dish.id === id)!
const semolina = dishOf('sweet-water-semolina')

describe('amounts', () => {
  it('are given for every starter dish, adding to what goes in', () => {
    for (const dish of STARTER_DISHES) {
      const found = amounts({ dish, measures })
      expect(found.baseG).toBe(dish.usual.baseG)
      expect(found.troubles).toEqual([])
      expect(found.amounts.map(one => one.id)).toEqual(dish.ingredients.map(one => one.id))
      for (const one of dish.ingredients)
        expect(found.amounts.find(known => known.id === one.id)!.massG).toBeCloseTo(one.perBase * dish.usual.baseG, 6)
    }
  })

  it('follow what the household weighed: the volume, not the weight', () => {
    const plain = amounts({ dish: semolina, measures, baseG: 200 })
    const base = semolina.ingredients.find(one => one.id === semolina.base)!
    const weighed = amounts({
      dish: semolina,
      measures,
      baseG: 200,
      corrections: [{ id: base.ingredient, bulkDensity: 0.5 }],
    })
    const [before, after] = [plain, weighed].map(one => one.amounts.find(known => known.id === base.id)!)
    expect(after!.massG).toBe(before!.massG)
    // One weighing so far from the table is believed nearly, not wholly.
    expect(after!.volumeMl).toBeGreaterThan(380)
    expect(after!.volumeMl).toBeLessThan(400)
  })

  it.each([
    ['no cup', { dish: semolina, measures: [] }],
    ['no dish', { measures }],
    ['too little', { dish: semolina, measures, baseG: 1 }],
    ['text for an amount', { dish: semolina, measures, baseG: 'much' }],
    ['a cup of nothing', { dish: semolina, measures: [{ ...measures[0], volumeMl: 0 }] }],
    ['something unknown', { dish: semolina, measures, colour: 'red' }],
    ['nothing', null],
  ])('are refused with %s', (_, request) => {
    expect(() => amounts(request)).toThrow()
  })
})

describe('scale', () => {
  it.each([['×2', 2], ['x3', 3]])('understands %s', (wanted, times) => {
    const found = scale({ dish: semolina, measures, wanted })
    if (!('baseG' in found)) throw new Error('no base')
    expect(found.baseG).toBeCloseTo(semolina.usual.baseG * times)
    expect(found.fit).toBeNull()
  })

  it('says whether it fits where a pan is given', () => {
    const [little, much] = ['×1', '×8'].map(wanted => scale({ dish: semolina, measures, wanted, pan: pans[0] }))
    if (!('fit' in little!) || !('fit' in much!)) throw new Error('no fit')
    expect(much.fit!.fit.share).toBeCloseTo(little.fit!.fit.share * 8, 3)
    expect(much.fit!.fit.verdict).toBe('too-small')
    expect(much.fit!.lots).toBeGreaterThan(1)
  })

  it('without words gives scales on own marks, the least distorted first', () => {
    const found = scale({ dish: semolina, measures })
    const scales = 'scales' in found ? found.scales ?? [] : []
    expect(scales.length).toBeGreaterThan(0)
    const distortions = scales.map(one => one.distortion)
    expect(distortions).toEqual([...distortions].sort((p, q) => p - q))
  })

  it.each(['ten thousand elephants', '', '0 people', '-200 g'])('refuses "%s" by name', (wanted) => {
    expect(() => scale({ dish: semolina, measures, wanted })).toThrow(CoreError)
  })
})

describe('swap', () => {
  it('takes one of the book\'s by its id, and refuses what is not there', () => {
    const dish = STARTER_DISHES.find(one => one.ingredients.some(known => known.part === 'milk'))!
    const milk = dish.ingredients.find(one => one.part === 'milk')!
    const all = swap({ dish, ingredient: milk.id }).swaps
    const [one] = swap({ dish, ingredient: milk.id, swap: all[0]!.swap }).swaps
    expect(one).toEqual(all[0])
    expect(() => swap({ dish, ingredient: 'moonlight' })).toThrow(CoreError)
    expect(() => swap({ dish, ingredient: milk.id, swap: 'milk-to-moonlight' })).toThrow(CoreError)
  })
})

describe('stages', () => {
  it('are laid out with minutes for every starter dish', () => {
    for (const dish of STARTER_DISHES) {
      const found = stages({ dish })
      if (!('stages' in found)) throw new Error(dish.id)
      for (const stage of found.stages!) expect(stage.usualMinutes, `${dish.id} ${stage.id}`).toBeGreaterThanOrEqual(0)
    }
  })

  it('follow changed choices, or say why they cannot work and what would', () => {
    const slurry = stages({ dish: semolina, choices: { pour: 'slurry' } })
    const plain = stages({ dish: semolina })
    expect(JSON.stringify(slurry)).not.toBe(JSON.stringify(plain))
    const lentil = STARTER_DISHES.find(one => one.family === 'lentil')!
    const impossible = stages({ dish: lentil, choices: { preparation: 'grated' } })
    expect(impossible.works).toBe(false)
    if ('troubles' in impossible) expect(impossible.troubles![0]!.offers.length).toBeGreaterThan(0)
  })
})
