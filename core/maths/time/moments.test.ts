import { describe, expect, it } from 'vitest'
import { dateOfDay, dayNumberOf } from './houseDay'
import { daysMs, fileMoment, isoMoment, localText, seasonOf, yearOf } from './moments'

/** 31 December 2026, 20:30 UTC: the new year has begun in Kolkata (+05:30), not in Reykjavik. */
const EVE = Date.UTC(2026, 11, 31, 20, 30)

describe('moments in words and in files', () => {
  it('are those of the place', () => {
    expect(localText(EVE, 'Asia/Kolkata', { day: 'numeric', month: 'short' })).toBe('1 Jan')
    expect(localText(EVE, 'Atlantic/Reykjavik', { day: 'numeric', month: 'short' })).toBe('31 Dec')
    expect([yearOf(EVE, 'Asia/Kolkata'), yearOf(EVE, 'Atlantic/Reykjavik')]).toEqual([2027, 2026])
  })

  it('are written in universal time, and for a file without what a file name bears not', () => {
    expect(isoMoment(EVE)).toBe('2026-12-31T20:30:00.000Z')
    expect(fileMoment(EVE)).toBe('2026-12-31T20-30-00-000Z')
    expect(isoMoment(Number.NaN)).toBe('')
  })

  it('have quarters that begin in December, and days that come back', () => {
    const middle = (month: number): number => Date.UTC(2026, month, 15, 12)
    expect([11, 0, 2, 5, 8, 10].map(month => seasonOf(middle(month)))).toEqual([0, 0, 1, 2, 3, 3])
    expect(daysMs(3)).toBe(3 * 24 * 3_600_000)
    expect(dateOfDay(dayNumberOf('2028-02-29'))).toBe('2028-02-29')
  })
})
