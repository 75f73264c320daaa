import { afterEach, describe, expect, it } from 'vitest'
import {
  clockText,
  dayText,
  degreesText,
  gramsText,
  lengthText,
  dateTimeText,
  nearDayText,
  packagesText,
  timeOfDay,
  windowText,
  houseDay,
} from './format'
import { useSettings } from '../stores/settings'
import { minuteText } from './houseTime'

afterEach(() => {
  useSettings().readIn('metric')
})

describe('numbers as they are read', () => {
  it.each([
    [0, '0:00'],
    [59.6, '1:00'],
    [520, '8:40'],
    [3725, '1:02:05'],
    [-4, '0:00'],
  ])('%d s is %s', (seconds, text) => {
    expect(clockText(seconds)).toBe(text)
  })

  it('windows are rounded to ten seconds: nothing finer is known', () => {
    expect(windowText(518.4, 724.9)).toBe('8:40–12:00')
    expect(windowText(3010, 5613)).toBe('0:50–1:34 h')
  })

  it.each([
    [1.53, '1.5 g'],
    [43.6, '44 g'],
    [263, '265 g'],
    [1688, '1\u202F690 g'],
    [12345, '12\u202F345 g'],
  ])('%d g is %s', (grams, text) => {
    expect(gramsText(grams)).toBe(text)
  })

  it.each([
    [7.6, '8 mm'],
    [18.2, '18 mm'],
    [20, '2 cm'],
    [41.7, '4.2 cm'],
    [205, '20.5 cm'],
  ])('%d mm is %s', (mm, text) => {
    expect(lengthText(mm)).toBe(text)
  })

  it('one switch reads them all in other units', () => {
    useSettings().readIn('imperial')
    expect(gramsText(1520)).toBe('3 lb 5.6 oz')
    expect(lengthText(41.7)).toBe('1.6 in')
    expect(degreesText(143)).toBe('289 °F')
  })

  it('days and hours are short', () => {
    const noon = new Date(2026, 5, 12, 12, 5).getTime()
    expect(dayText(noon)).toBe('12 Jun')
    expect(timeOfDay(noon)).toBe('12:05')
  })
})

describe('moments near now', () => {
  const now = new Date(2026, 10, 26, 22, 30).getTime()
  const at = (day: number, hour: number, minute = 0): number => new Date(2026, 10, day, hour, minute).getTime()

  it('are told by the day they fall on, not by the hours between', () => {
    expect(dateTimeText(at(26, 23, 10), now)).toBe('23:10')
    expect(dateTimeText(at(27, 0, 10), now)).toBe('tomorrow 00:10')
    expect(dateTimeText(at(25, 23, 50), now)).toBe('yesterday 23:50')
    expect(dateTimeText(at(29, 9), now)).toBe('Sun 29 Nov, 09:00')
  })

  it('are told in one clock, and by the zone of the house', () => {
    const { zone, clock, timesIn } = useSettings()
    timesIn('Asia/Kolkata', '12')
    expect(timeOfDay(Date.UTC(2026, 10, 26, 18, 45))).toMatch(/^12:15\s?am$/)
    expect([minuteText(1145), minuteText(0), minuteText(720)]).toEqual(['7:05 pm', '12:00 am', '12:00 pm'])
    expect(dateTimeText(Date.UTC(2026, 10, 26, 18, 45), Date.UTC(2026, 10, 26, 17, 0))).toMatch(/^tomorrow 12:15\s?am$/)
    expect(houseDay(Date.UTC(2026, 10, 26, 18, 45))).toBe(houseDay(Date.UTC(2026, 10, 26, 18, 0)) + 1)
    timesIn('Europe/Berlin', '24')
    expect(timeOfDay(Date.UTC(2026, 10, 26, 18, 45))).toBe('19:45')
    expect([minuteText(1145), minuteText(0), minuteText(2585.4), minuteText(-60)]).toEqual([
      '19:05',
      '00:00',
      '19:05',
      '23:00',
    ])
    timesIn(zone, clock)
  })

  it('are days alone where the hour does not matter', () => {
    expect([at(26, 1), at(27, 23), at(25, 0), at(30, 5)].map(one => nearDayText(one, now))).toEqual([
      'today',
      'tomorrow',
      'yesterday',
      'Mon 30 Nov',
    ])
  })
})

describe('packages to buy', () => {
  it('are counted by size, and a line breaks only between them', () => {
    expect(packagesText([500]).replaceAll('\u00A0', ' ')).toBe('1 × 500 g')
    const text = packagesText([500, 500, 200])
    expect(text.replaceAll('\u00A0', ' ')).toBe('2 × 500 g + 1 × 200 g')
    expect(text.split(' ')).toHaveLength(3)
    expect(packagesText([])).toBe('')
  })
})
