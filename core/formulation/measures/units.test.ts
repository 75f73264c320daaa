import { describe, expect, it } from 'vitest'
import { unitOf } from './units'

/** The international inch and pound (agreement of 1959), and a gallon of 231 cubic inches (NIST Handbook 44, appendix C). */
const INCH_MM = 25.4
const POUND_G = 453.59237
const GALLON_ML = (231 * INCH_MM ** 3) / 1000
const GRAIN_G = POUND_G / 7000

describe('units of recipes', () => {
  it.each([
    ['fl oz', GALLON_ML / 128],
    ['pint', GALLON_ML / 8],
    ['quart', GALLON_ML / 4],
  ])('%s holds what its definition gives', (name, ml) => {
    const unit = unitOf(name)
    expect(unit?.kind).toBe('loose')
    expect(unit && 'volumeMl' in unit ? unit.volumeMl : null).toBeCloseTo(ml, 2)
  })

  it.each([
    ['lb', POUND_G],
    ['oz', POUND_G / 16],
    ['tola', 180 * GRAIN_G],
    ['kg', 1000],
    ['mg', 0.001],
  ])('%s weighs what its definition gives', (name, grams) => {
    const unit = unitOf(name)
    expect(unit?.kind).toBe('mass')
    expect((unit && 'massG' in unit ? unit.massG : 0) / grams).toBeCloseTo(1, 4)
  })
})
