import fc from 'fast-check'
import { afterEach, describe, expect, it } from 'vitest'
import { useSettings } from '../stores/settings'
import { degreesUnit, gramsToType, typedCelsius, typedGrams, typedNumber, weightUnit } from './typed'

afterEach(() => {
  useSettings().readIn('metric')
})

describe('a typed number', () => {
  it.each([['12', 12], [' 1,5 ', 1.5], ['0', 0], ['-3', -3]])('reads %j as %d', (text, value) => {
    expect(typedNumber(text)).toBe(value)
  })

  it.each(['', '   ', 'many', '1 2', '1,2,3'])('does not read %j', (text) => {
    expect(typedNumber(text)).toBeNaN()
    expect(typedGrams(text)).toBeNaN()
    expect(typedCelsius(text)).toBeNaN()
  })
})

describe('in the units of the house', () => {
  it('weights and temperatures are typed as they are read', () => {
    expect([weightUnit(), degreesUnit(), typedGrams('150'), typedCelsius('100')]).toEqual(['g', '°C', 150, 100])
    useSettings().readIn('imperial')
    expect([weightUnit(), degreesUnit(), typedGrams('2'), typedCelsius('212')]).toEqual(['oz', '°F', 56.7, 100])
  })

  it('a weight that is shown and typed again stays within half of its last place', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (grams, units) => {
          useSettings().readIn(units)
          expect(Math.abs(typedGrams(gramsToType(grams)) - grams)).toBeLessThanOrEqual(units === 'metric' ? 0.5 : 1.5)
        },
      ),
    )
  })

  it('a small weight keeps its thousandths', () => {
    useSettings().readIn('imperial')
    expect(typedGrams('0.02')).toBe(0.567)
  })
})
