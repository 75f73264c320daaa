import { describe, expect, it } from 'vitest'
import { CoreError } from '../../error'
import { airPressurePa } from './airPressurePa'
import { saturationPressurePa } from './saturationPressurePa'
import { saturationTempC } from './saturationTempC'
import { sorptionWaterActivity } from './sorptionWaterActivity'
import { sugarWaterActivity } from './sugarWaterActivity'

describe('water', () => {
  it.each([[60, 19.9], [80, 47.4], [90, 70.1], [100, 101.3], [110, 143], [120, 199]])(
    'has the handbook saturation pressure at %d °C within 0.6 percent', (tempC, kPa) => {
      expect(Math.abs(saturationPressurePa(tempC) / 1000 / kPa - 1)).toBeLessThan(0.006)
    })

  it('gives back the temperature of its own pressure', () => {
    for (let tempC = 5; tempC <= 180; tempC += 5)
      expect(saturationTempC(saturationPressurePa(tempC))).toBeCloseTo(tempC, 6)
  })

  it('boils about one degree lower for each 300 m', () => {
    expect(saturationTempC(airPressurePa(0)) - saturationTempC(airPressurePa(1500))).toBeCloseTo(5, 0)
    expect(() => airPressurePa(9000)).toThrow(CoreError)
  })
})

describe('sugar in water', () => {
  /** Boiling point at sea level, °C: the formula asked at its own temperature. */
  const boilsAt = (sucrose: number, invert: number, water: number): number => {
    let tempC = 100
    for (let i = 0; i < 60; i++)
      tempC = 0.5 * tempC + 0.5 * saturationTempC(101325 / sugarWaterActivity(sucrose, invert, water, tempC))
    return tempC
  }

  // Handbook boiling points of sucrose solutions at sea level, % by weight: °C.
  it.each([[10, 100.4], [20, 100.6], [30, 101.0], [40, 101.5], [50, 102.0], [60, 103.0], [70, 106.5], [80, 112.0]])(
    'boils at the handbook temperature at %d %% within 0.7 K', (percent, tempC) => {
      expect(Math.abs(boilsAt(percent, 0, 100 - percent) - tempC)).toBeLessThan(0.7)
    })

  it('boils within 4 K of the handbook temperature at 90.8 %', () => {
    expect(Math.abs(boilsAt(90.8, 0, 9.2) - 130)).toBeLessThan(4)
  })

  // Osmotic coefficients after Robinson and Stokes, 25 °C, mol per kg water: water activity (recalled, unchecked).
  it.each([[1, 0.981], [2, 0.958], [3, 0.933], [4, 0.906], [5, 0.878], [6, 0.849]])(
    'lowers the water activity at %d mol/kg and 25 °C within 0.005', (molal, activity) => {
      expect(Math.abs(sugarWaterActivity(molal * 342.3, 0, 1000, 25) - activity)).toBeLessThan(0.005)
    })

  it('always falls as sugar is added, of either kind, and more for invert sugar of the same weight', () => {
    for (const [sucrose, invert] of [[1, 0], [0.7, 0.3], [0, 1]] as const) {
      let before = 1
      for (let percent = 1; percent <= 99; percent++) {
        const activity = sugarWaterActivity(percent * sucrose, percent * invert, 100 - percent, 90)
        expect(activity).toBeLessThan(before)
        before = activity
      }
    }
    expect(boilsAt(56, 24, 20)).toBeGreaterThan(boilsAt(80, 0, 20))
  })
})

describe('water in grain', () => {
  it('is about half active at store moisture and falls with drying', () => {
    expect(sorptionWaterActivity(0.136, 25)).toBeGreaterThan(0.45)
    expect(sorptionWaterActivity(0.136, 25)).toBeLessThan(0.65)
    expect(sorptionWaterActivity(0.05, 25)).toBeLessThan(0.2)
    expect(sorptionWaterActivity(0, 25)).toBe(0)
  })
})
