import { describe, expect, it } from 'vitest'
import { SERVINGS, VESSEL_KINDS } from '../contracts/day'
import { OFFER_KINDS } from '../contracts/planner'
import { DAY_TROUBLES } from '../core/day/problem/checkDay'
import {
  BROKEN_WORDS,
  DAY_TROUBLE_WORDS,
  OFFER_WORDS,
  SERVING_WORDS,
  SHARE_WORDS,
  spanText,
  stepName,
  VESSEL_WORDS,
} from './spread'

describe('words for a day', () => {
  it('are there for every manner of serving, vessel and offer', () => {
    for (const serve of SERVINGS) expect(SERVING_WORDS[serve]).toBeTruthy()
    for (const kind of VESSEL_KINDS) expect(VESSEL_WORDS[kind]).toBeTruthy()
    for (const kind of OFFER_KINDS) expect(OFFER_WORDS[kind]).toMatch(/^(One more|A second|Beginning|What perishes)/)
    expect(Object.keys(SHARE_WORDS).sort()).toEqual(['ground', 'jaggery', 'nuts', 'thickened'])
    for (const say of Object.values(SHARE_WORDS)) expect(say('A', 'B')).toMatch(/once for A and B/)
  })

  it.each(DAY_TROUBLES)('say of %s what is so, that the day is kept, and what to do', (code) => {
    const text = DAY_TROUBLE_WORDS[code]('Dinner')
    expect(text.length).toBeGreaterThan(30)
    expect(text.endsWith('.')).toBe(true)
    if (code !== 'nothing-to-cook') expect(text).toContain('The day is kept')
  })

  it('say what a repair could not save, and what to do about it', () => {
    expect(BROKEN_WORDS.late('Dinner', '12 min')).toContain('Dinner will be 12 min late')
    expect(BROKEN_WORDS['waits-long']('Semolina', '3 min')).toContain('off the flame')
    expect(BROKEN_WORDS['cold-pour']('Semolina', '3 min')).toContain('heat it again')
    expect(BROKEN_WORDS.lacking('Semolina', '')).toContain('Borrow one')
  })

  it('name every step that is no stage, and stages by their own name', () => {
    expect(['wash', 'cut', 'chill', 'reheat', 'nuts'].map(stepName)).toEqual([
      'wash, soak',
      'cut',
      'into the cold',
      'heat again',
      'nuts',
    ])
    expect(stepName('grate-2')).toBe('grate second lot')
    expect(stepName('pour')).toBe('pour')
  })

  it.each([
    [0, '0 min'],
    [59.4, '59 min'],
    [59.6, '1 h'],
    [65, '1 h 05'],
    [120, '2 h'],
    [605, '10 h 05'],
  ])('write %d minutes as %s', (minutes, text) => expect(spanText(minutes)).toBe(text))

})
