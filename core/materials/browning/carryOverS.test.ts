import { describe, expect, it } from 'vitest'
import { constant } from '../constants/constants'
import { carryOverS } from './carryOverS'

describe('nuts after they are lifted out', () => {
  it('brown for a quarter of a minute more, by the first term of the integral', () => {
    // ∫ exp(−x·t/τ) dt = τ/x with x = Ea (T − Ta) / (R T²), as long as the fall in temperature is small.
    for (const tempC of [130, 145, 160]) {
      const kelvin = tempC + 273.15
      const first = constant('nutCooling') * 8.314 * kelvin ** 2 / (constant('nutEnergy') * (tempC - 25))
      expect(carryOverS(tempC, 25) / first).toBeGreaterThan(0.9)
      expect(carryOverS(tempC, 25) / first).toBeLessThan(1.25)
    }
  })

  it('brown longer in a warmer room, and never as long as they cool', () => {
    for (let tempC = 100; tempC <= 200; tempC += 10) {
      expect(carryOverS(tempC, 35)).toBeGreaterThan(carryOverS(tempC, 15))
      expect(carryOverS(tempC, 25)).toBeLessThan(constant('nutCooling'))
    }
  })
})
