import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CoreError } from '../../error'
import { cupVolumeMl } from './cupVolumeMl'
import { drawnSize } from './drawnSize'
import { inMeasures } from './inMeasures'
import { parseAmount } from './parseAmount'
import { usableCount } from './usableCount'

const glass = { id: 'glass', name: 'Verandah glass', volumeMl: 180 }
const spoon = { id: 'tsp', name: 'Teaspoon', volumeMl: 5 }

describe('a cup found by weighing', () => {
  it('holds the weight of its water', () => {
    expect(cupVolumeMl(212, 391.64)).toBeCloseTo(180, 1)
  })

  it.each([
    [0, 0],
    [300, 200],
    [Number.NaN, 400],
    [-1, 100],
    [0, 1e9],
  ])('refuses %d g empty and %d g full', (empty, full) => {
    expect(() => cupVolumeMl(empty, full)).toThrow(CoreError)
  })
})

describe('counts that can be filled by eye', () => {
  it.each([
    [0, '0'],
    [0.26, '¼'],
    [0.97, '1'],
    [1.46, '1½'],
    [1.34, '1⅓'],
    [6.8, '6¾'],
    [12.4, '12'],
  ])('reads %d as %s', (count, text) => {
    expect(usableCount(count).text).toBe(text)
  })

  it('are never further than an eighth of a measure away', () => {
    fc.assert(fc.property(fc.double({ min: 0, max: 9.99, noNaN: true }), (count) => {
      expect(Math.abs(usableCount(count).count - count)).toBeLessThanOrEqual(0.1251)
    }))
  })

  it('fall to the smaller measure below a quarter', () => {
    expect(inMeasures(20, [glass, spoon])).toMatchObject({ measure: 'tsp', text: '4' })
    expect(inMeasures(270, [glass, spoon])).toMatchObject({ measure: 'glass', text: '1½' })
    expect(inMeasures(0.3, [glass, spoon]).count).toBe(0)
  })
})

describe('an amount between two marks', () => {
  const tablespoon = { id: 'tbsp', name: 'Tablespoon', volumeMl: 15 }

  it('is made up with spoons', () => {
    expect(inMeasures(180 * 1.1, [glass, tablespoon, spoon])).toMatchObject({
      text: '1',
      rest: { name: 'Tablespoon', text: '1' },
    })
    expect(inMeasures(180, [glass, tablespoon]).rest).toBeNull()
  })

  it('is never further off than the mark alone, and within a tenth from a quarter glass up', () => {
    fc.assert(fc.property(fc.double({ min: 45, max: 2000, noNaN: true }), (volumeMl) => {
      const alone = inMeasures(volumeMl, [glass])
      const made = inMeasures(volumeMl, [glass, tablespoon, spoon])
      expect(made.error).toBeLessThanOrEqual(alone.error + 1e-12)
      expect(made.error).toBeLessThan(0.1)
    }))
  })
})

describe('amounts as cooks speak', () => {
  const say = (text: string) => parseAmount(text, glass, [glass, spoon])

  it.each([
    ['1 1/2 glass', 270], ['two glasses', 360], ['¾ cup', 135], ['1½ cups', 270], ['2 tbsp', 30], ['3 teaspoons', 15],
    ['2 verandah glasses', 360], ['half a litre', 500], ['0.5 l', 500], ['2', 360],
  ])('understands %s', (text, volumeMl) => {
    if (volumeMl === 0) expect(() => say(text)).toThrow(CoreError)
    else expect(say(text)).toEqual({ kind: 'volume', volumeMl })
  })

  it('understands weights and people', () => {
    expect(say('300 g')).toEqual({ kind: 'mass', massG: 300 })
    expect(say('1,5 kg')).toEqual({ kind: 'mass', massG: 1500 })
    expect(say('for six people')).toEqual({ kind: 'people', people: 6 })
  })

  it.each(['', 'much', '0 g', '-3 g', '1/0 cup', '10 tons', '99999 kg', '1e9', '<script>', 'NaN g'])(
    'refuses %j',
    text => {
      expect(() => say(text)).toThrow(CoreError)
    },
  )

  it('never throws anything but its own refusal', () => {
    fc.assert(fc.property(fc.string({ maxLength: 80 }), (text) => {
      try {
        const amount = say(text)
        expect(
          Number.isFinite(
            'massG' in amount
              ? amount.massG
              : 'volumeMl' in amount
                ? amount.volumeMl
                : 'count' in amount
                  ? amount.count
                  : amount.people,
          ),
        ).toBe(true)
      }
      catch (error) {
        expect(error).toBeInstanceOf(CoreError)
      }
    }), { numRuns: 500 })
  })
})

describe('a drawn cup', () => {
  it('holds its volume as a cone', () => {
    for (const volumeMl of [60, 180, 240, 900]) {
      const { topMm, bottomMm, heightMm } = drawnSize(volumeMl, 'cup')
      const cone = Math.PI * heightMm / 12 * (topMm ** 2 + topMm * bottomMm + bottomMm ** 2) / 1000
      expect(cone / volumeMl).toBeCloseTo(1, 1)
    }
  })
})
