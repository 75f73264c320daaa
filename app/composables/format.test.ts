import { describe, expect, it } from 'vitest'
import { clockText, dayText, gramsText, timeOfDay, windowText } from './format'

describe('numbers as they are read', () => {
  it.each([[0, '0:00'], [59.6, '1:00'], [520, '8:40'], [3725, '1:02:05'], [-4, '0:00']])('%d s is %s', (seconds, text) => {
    expect(clockText(seconds)).toBe(text)
  })

  it('windows are rounded to ten seconds: nothing finer is known', () => {
    expect(windowText(518.4, 724.9)).toBe('8:40–12:00')
    expect(windowText(3010, 5613)).toBe('0:50–1:34 h')
  })

  it.each([[1.53, '1.5 g'], [43.6, '44 g'], [263, '265 g'], [1688, '1\u202F690 g'], [12345, '12\u202F345 g']])('%d g is %s', (grams, text) => {
    expect(gramsText(grams)).toBe(text)
  })

  it('days and hours are short', () => {
    const noon = new Date(2026, 5, 12, 12, 5).getTime()
    expect(dayText(noon)).toBe('12 Jun')
    expect(timeOfDay(noon)).toMatch(/12:05\s?pm/)
  })
})
