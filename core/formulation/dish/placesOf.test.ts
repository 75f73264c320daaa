import { describe, expect, it } from 'vitest'
import { starter } from '../../../test/support/plans'
import { placesOf } from './placesOf'

const taken = { pan: 'wide', pot: 'milk pot', pressure: 'sealed', second: 'iron', fire: 'front', otherFire: 'back' }

describe('the places of a dish', () => {
  it('are the chosen pan on the chosen fire, and the pot beside it', () => {
    expect(placesOf(starter(), taken)).toEqual({
      pans: { pan: 'wide', pot: 'milk pot' },
      fires: { pan: 'front', pot: 'back' },
    })
  })

  it('give grain that is rained a pan of its own on the chosen fire, and the deep one the other', () => {
    const { pans, fires } = placesOf(starter('well-head-semolina'), taken)
    expect([pans['roasting-pan'], fires['roasting-pan'], pans.pan, fires.pan]).toEqual([
      'iron',
      'front',
      'wide',
      'back',
    ])
  })

  it('press in the pressure pan on the same fire, and make do with the pot where there is none', () => {
    const dish = starter('cellar-beetroot')
    expect(placesOf(dish, taken)).toMatchObject({
      pans: { 'pressure-pan': 'sealed' },
      fires: { 'pressure-pan': 'front', 'pan': 'front' },
    })
    expect(placesOf(dish, { ...taken, pressure: undefined, second: undefined }).pans['pressure-pan']).toBe('milk pot')
  })
})
