import { describe, expect, it } from 'vitest'
import { CoreError } from '../error'
import { airPressurePa } from './airPressurePa'
import { saturationPressurePa } from './saturationPressurePa'
import { saturationTempC } from './saturationTempC'
import { sorptionWaterActivity } from './sorptionWaterActivity'
import { sucroseWaterActivity } from './sucroseWaterActivity'

describe('water', () => {
  it.each([[60, 19.9], [80, 47.4], [90, 70.1], [100, 101.3], [110, 143], [120, 199]])(
    'has the handbook saturation pressure at %d °C within 0.6 percent', (tempC, kPa) => {
      expect(Math.abs(saturationPressurePa(tempC) / 1000 / kPa - 1)).toBeLessThan(0.006)
    })

  it('gives back the temperature of its own pressure', () => {
    for (let tempC = 5; tempC <= 180; tempC += 5) expect(saturationTempC(saturationPressurePa(tempC))).toBeCloseTo(tempC, 6)
  })

  it('boils about one degree lower for each 300 m', () => {
    expect(saturationTempC(airPressurePa(0)) - saturationTempC(airPressurePa(1500))).toBeCloseTo(5, 0)
    expect(() => airPressurePa(9000)).toThrow(CoreError)
  })
})

describe('sugar in water', () => {
  // Handbook boiling points of sucrose solutions at sea level, % by weight: °C.
  it.each([[10, 100.4], [20, 100.6], [30, 101.0], [40, 101.5], [50, 102.0], [60, 103.0], [70, 106.5], [80, 112.0]])(
    'boils at the handbook temperature at %d %% within 0.7 K', (percent, tempC) => {
      expect(Math.abs(saturationTempC(101325 / sucroseWaterActivity(percent, 100 - percent)) - tempC)).toBeLessThan(0.7)
    })

  it('is off by five degrees at 90.8 %, as its docstring says', () => {
    const off = saturationTempC(101325 / sucroseWaterActivity(90.8, 9.2)) - 130
    expect(off).toBeLessThan(-4)
    expect(off).toBeGreaterThan(-5.5)
  })

  // Osmotic coefficients after Robinson and Stokes, 25 °C, mol per kg water: water activity (recalled, unchecked).
  it.each([[1, 0.981], [2, 0.958], [3, 0.933], [4, 0.906], [5, 0.878], [6, 0.849]])(
    'lowers the water activity at %d mol/kg within about 0.02', (molal, activity) => {
      expect(Math.abs(sucroseWaterActivity(molal * 342.3, 1000) - activity)).toBeLessThan(0.0205)
    })

  it('never rises as sugar is added, up to where the form ends', () => {
    let before = 1
    for (let percent = 1; percent <= 99; percent++) {
      const activity = sucroseWaterActivity(percent, 100 - percent)
      expect(activity).toBeLessThanOrEqual(before + 1e-12)
      before = activity
    }
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
