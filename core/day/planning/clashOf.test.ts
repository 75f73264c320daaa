import { describe, expect, it } from 'vitest'
import { exampleDish, exampleSpread } from '../../../test/support/spreads'
import { clashOf, type Clash } from './clashOf'
import type { Day } from '../problem/day'
import { dayOf } from '../spread/dayOf'

/** The clash, on a clock that moves by itself at every look; null is told apart from what is yielded on the way. */
function clash(day: Day, tick = 0.0005): Clash[] | null {
  let now = 0
  const steps = clashOf(day, () => now += tick)
  for (;;) {
    const { done, value } = steps.next()
    if (done) return value
  }
}
const kinds = (day: Day): string[] => clash(day)!.map(one => one.kind).sort()
const alone = dayOf(exampleSpread({ dishes: [exampleDish('d1')], nights: null }), 1440 + 600)
const dinner = 1440 + 19 * 60

describe('what of a day cannot be had together', () => {
  it('is nothing where a plan can be', () => {
    expect(clash(alone)).toBeNull()
  })

  it('is two wishes that contradict the waits between their steps', () => {
    const never: Day = {
      ...alone,
      wishes: [
        { kind: 'pin', step: 'd1.roast', start: dinner - 40 },
        { kind: 'pin', step: 'd1.pour', start: dinner - 120 },
      ],
    }
    // Each by itself can be had.
    for (const kept of [0, 1]) expect(clash({ ...never, wishes: [never.wishes![kept]!] })).toBeNull()
    expect(clash(never)).toEqual([{ kind: 'wish', about: 'd1.roast' }, { kind: 'wish', about: 'd1.pour' }])
  })

  it('is a wish for a time that has passed', () => {
    expect(clash({ ...alone, wishes: [{ kind: 'pin', step: 'd1.roast', start: alone.now - 30 }] })).toEqual([
      { kind: 'wish', about: 'd1.roast' },
    ])
  })

  it('is a wish held where the dish would be ready too long before its meal', () => {
    expect(kinds({ ...alone, now: 0, wishes: [{ kind: 'pin', step: 'd1.pour', start: 600 }] })).toEqual([
      'freshness',
      'wish',
    ])
  })

  it('is that everybody is away for the whole day', () => {
    const away = [{ cook: 'all' as const, from: 0, to: alone.horizon + 10_000, why: 'a wedding' }]
    expect(clash({ ...alone, away })).toEqual([{ kind: 'away', about: 'a wedding' }])
  })

  it('is who may stand at the fire, and that they are away', () => {
    const away = [{ cook: 0, from: 0, to: alone.horizon + 10_000, why: 'in the field' }]
    expect(kinds({ ...alone, away })).toEqual(['away', 'who'])
  })

  it('is one fire for two things that must be hot at one moment', () => {
    expect(
      kinds({
        ...alone,
        burners: 1,
        dishes: alone.dishes.map(dish => ({
          ...dish,
          lags: [...dish.lags, { from: 'sweet-water', to: 'roast', min: -9, max: -8, kind: 'hotbase' }],
        })),
      }),
    ).toEqual(['fires', 'waits'])
  })

  it('is one pair of hands for two steps that are held at one moment', () => {
    const two = dayOf(exampleSpread({ nights: null }), 1440 + 600)
    const wishes = [
      { kind: 'pin' as const, step: 'd1.grate', start: dinner - 120 },
      { kind: 'pin' as const, step: 'd2.grate', start: dinner - 120 },
    ]
    expect(clash({ ...two, wishes })).toBeNull()
    expect(kinds({ ...two, cooks: 1, wishes })).toEqual(['hands', 'wish', 'wish'])
  })

  it('is one pan for two dishes that are held at one moment', () => {
    const two = dayOf(
      exampleSpread({ nights: null, vessels: exampleSpread().vessels.filter(one => one.kind !== 'heavyL') }),
      1440 + 600,
    )
    const wishes = [
      { kind: 'pin' as const, step: 'd1.pour', start: dinner - 30 },
      { kind: 'pin' as const, step: 'd2.pour', start: dinner - 25 },
    ]
    const found = clash({
      ...two,
      cooks: 4,
      wishes,
      dishes: two.dishes.map(dish => ({ ...dish, activities: dish.activities.map(({ cooks: _, ...one }) => one) })),
    })!
    expect(found).toContainEqual({ kind: 'vessel', about: 'heavy' })
    expect(found.map(one => one.kind).sort()).toEqual(['vessel', 'wish', 'wish'])
  })

  it('is a day that ends too soon', () => {
    expect(kinds({ ...alone, now: dinner - 30, horizon: dinner + 10 })).toEqual(['time'])
  })

  it('says nothing where there is no time to prove it', () => {
    expect(
      clash(
        {
          ...alone,
          wishes: [
            { kind: 'pin', step: 'd1.roast', start: dinner - 40 },
            { kind: 'pin', step: 'd1.pour', start: dinner - 120 },
          ],
        },
        2,
      ),
    ).toBeNull()
  })
})
