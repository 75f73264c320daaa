import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayNumber, dayNumberOf, isoDay, isZone, plusDays, wallMinute, wallMs } from './houseDay'

const ZONES = [
  'Asia/Kolkata',
  'Europe/Berlin',
  'America/New_York',
  'Australia/Lord_Howe',
  'Asia/Kathmandu',
  'Pacific/Apia',
  'UTC',
]
const hours = (a: number, b: number): number => (b - a) / 3_600_000

describe('a day by the clock on the wall', () => {
  it('has 23 hours where clocks go forward, 25 where they go back, and the meal is at the time it is said', () => {
    for (const [date, zone, length] of [
      ['2026-03-29', 'Europe/Berlin', 23],
      ['2026-10-25', 'Europe/Berlin', 25],
      ['2026-03-08', 'America/New_York', 23],
      ['2026-11-01', 'America/New_York', 25],
      ['2026-10-04', 'Australia/Lord_Howe', 23.5],
      ['2026-03-29', 'Asia/Kolkata', 24],
    ] as const) {
      expect(hours(wallMs(date, 0, zone), wallMs(date, 1440, zone)), `${date} ${zone}`).toBe(length)
      const dinner = wallMs(date, 19 * 60, zone)
      expect(
        new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit' }).format(dinner),
        `${date} ${zone}`,
      ).toBe('19:00')
      expect(wallMinute(date, dinner, zone)).toBe(19 * 60)
    }
  })

  it('reads back what it gives, on any day, wherever', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ZONES),
        fc.integer({ min: 18_000, max: 25_000 }),
        fc.integer({ min: 0, max: 2879 }),
        (zone, day, minute) => {
          const date = plusDays('1970-01-01', day)
          const back = wallMinute(date, wallMs(date, minute, zone), zone)
          // An hour that the clocks leave out comes back as the one after it.
          expect([0, 30, 60]).toContain(back - minute)
        },
      ),
      { numRuns: 500 },
    )
  })

  it('knows its date by the house, not by the device or by Greenwich', () => {
    const lateEvening = Date.UTC(2026, 11, 2, 20, 0)
    expect(isoDay(lateEvening, 'Asia/Kolkata')).toBe('2026-12-03')
    expect(isoDay(lateEvening, 'America/New_York')).toBe('2026-12-02')
    expect(dayNumber(lateEvening, 'Asia/Kolkata') - dayNumber(lateEvening, 'UTC')).toBe(1)
    expect(dayNumberOf('1970-01-02')).toBe(1)
    expect(plusDays('2026-02-28', 1)).toBe('2026-03-01')
    expect([isZone('Asia/Kolkata'), isZone('Hill/Top')]).toEqual([true, false])
  })
})
