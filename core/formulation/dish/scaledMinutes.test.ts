import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { scaledMinutes } from './scaledMinutes'
import { stageDish } from '../stages/stageDish'

const dish = stageDish(STARTER_DISHES.find(card => card.id === 'slow-farina')!)
const minutesOf = (id: string, baseG: number): number | undefined => {
  const until = scaledMinutes(dish, baseG).stages.find(stage => stage.id === id)!.until
  return 'minutes' in until ? until.minutes : undefined
}

describe('stages in minutes', () => {
  it('are those of the usual amount there, fewer in proportion for less, more with the root for more', () => {
    const { baseG } = dish.usual
    expect(minutesOf('enrich', baseG)).toBe(3)
    expect(minutesOf('enrich', baseG / 2)).toBe(1.5)
    expect(minutesOf('enrich', baseG * 4)).toBe(6)
    expect(minutesOf('enrich', 5)).toBe(0.5)
  })

  it('keep what waits off the fire, comes to pressure or is poured, and what ends at a sign', () => {
    for (const card of STARTER_DISHES) {
      const staged = stageDish(card)
      scaledMinutes(staged, card.usual.baseG / 3).stages.forEach((stage, i) => {
        const before = staged.stages[i]!
        if (
          stage.flame === 'off'
          || stage.does === 'press'
          || stage.does === 'pour'
          || stage.phase !== 'fire'
          || 'sign' in stage.until
        )
          expect(stage, `${card.id} ${stage.id}`).toEqual(before)
      })
    }
  })
})
