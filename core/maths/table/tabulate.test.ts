import { describe, expect, it } from 'vitest'
import { arrhenius } from '../../materials/browning/arrhenius'
import { tabulate } from './tabulate'

describe('a tabulated function', () => {
  it('is the function at its points and near it between them', () => {
    const table = tabulate(x => arrhenius(x, 80000), 20, 320, 0.5)
    for (let tempC = 60; tempC <= 320; tempC += 0.13)
      expect(Math.abs(table(tempC) / arrhenius(tempC, 80000) - 1)).toBeLessThan(3e-4)
    expect(table(150)).toBeCloseTo(1, 12)
  })

  it('holds its ends outside the range, and its first end for what is no number', () => {
    const table = tabulate(x => x * x, 1, 3, 0.5)
    expect([table(-4), table(1), table(3), table(9), table(Number.NaN)]).toEqual([1, 1, 9, 9, 1])
  })
})
