import { describe, expect, it } from 'vitest'
import { DAY } from '../../../test/support/smallDay'
import type { Day } from './day'
import { cooksThere, nobodyThere, presentBefore } from './presence'

describe('who is there', () => {
  const day: Day = {
    ...DAY,
    away: [
      { cook: 'all', from: 30, to: 40, why: 'out' }, { cook: 0, from: 40, to: 60, why: 'work' },
      { cook: 1, from: 50, to: 55, why: 'door' }, { cook: 1, from: 55, to: 58, why: 'door' },
    ],
  }

  it('is counted at a minute, of all or of some', () => {
    expect([29, 30, 39, 40, 49, 50, 57, 58, 59, 60].map(minute => cooksThere(day, minute))).toEqual([2, 0, 0, 1, 1, 0, 0, 1, 1, 2])
    expect([45, 52].map(minute => cooksThere(day, minute, [1]))).toEqual([1, 0])
    expect(cooksThere(day, 10, [])).toBe(0)
  })

  it('is nobody in spans that are sorted and apart', () => {
    expect(nobodyThere(day)).toEqual([[30, 40], [50, 58]])
    expect(nobodyThere(DAY)).toEqual([])
    expect(nobodyThere({ ...day, cooks: 3 })).toEqual([[30, 40]])
  })

  it('makes a clock that stands while nobody is', () => {
    expect([20, 30, 35, 40, 50, 54, 58, 70].map(presentBefore(day))).toEqual([20, 30, 30, 30, 40, 40, 40, 52])
  })
})
