import { describe, expect, it } from 'vitest'
import { nextDishes } from '../usual/nextDishes'

const dish = (id: string, needs: string[], made = 0) => ({ id, needs, made })
const CARROT = dish('carrot', ['carrot', 'milk', 'sugar'], 2)
const SEMOLINA = dish('semolina', ['semolina', 'ghee', 'sugar'], 9)
const GRAM = dish('gram', ['gram', 'ghee', 'sugar', 'nuts'], 30)
const good = (ingredient: string, lastDay = 400) => ({ ingredient, lastDay })

describe('what a house makes next', () => {
  it('uses up what perishes first, then what is all there, then what is made most often', () => {
    const store = [good('carrot', 104), good('milk', 103), good('sugar'), good('semolina'), good('ghee')]
    const found = nextDishes([CARROT, SEMOLINA, GRAM], store, 100, 3)
    expect(found).toEqual([
      { id: 'carrot', why: 'perishes', missing: [], uses: good('milk', 103) },
      { id: 'semolina', why: 'in-house', missing: [], uses: null },
      { id: 'gram', why: 'often', missing: ['gram', 'nuts'], uses: null },
    ])
  })

  it('takes the dish that lacks least of those that would use the same', () => {
    const pudding = dish('pudding', ['milk', 'rice', 'nuts', 'saffron'], 50)
    expect(nextDishes([pudding, CARROT], [good('milk', 101), good('carrot', 300)], 100, 1)[0]).toMatchObject({
      id: 'carrot',
      missing: ['sugar'],
    })
  })

  it('is hurried by nothing that is past its day or good for long', () => {
    const found = nextDishes([CARROT, SEMOLINA], [good('milk', 99), good('carrot', 108)], 100, 2)
    expect(found.map(one => one.why)).toEqual(['often', 'often'])
  })

  it('begins a house that never made anything with what asks for least, no dish twice', () => {
    const found = nextDishes([dish('gram', ['a', 'b', 'c']), dish('semolina', ['a', 'b'])], [], 100, 5)
    expect(found.map(one => [one.id, one.why])).toEqual([['semolina', 'first'], ['gram', 'first']])
  })
})
