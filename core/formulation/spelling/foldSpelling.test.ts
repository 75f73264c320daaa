import { describe, expect, it } from 'vitest'
import { foldSpelling } from './foldSpelling'

describe('spellings', () => {
  it.each([
    ['sooji', 'suji'],
    ['Halwa', 'halva'],
    ['rawa', 'rava'],
    ['gaajar', 'gajar'],
    ['moong', 'mung'],
    ['sheera', 'shira'],
    ['seviyan', 'sewiyan'],
    ['elaichi', 'elaechi'],
    ['dhal', 'dal'],
    ['Badaam', 'badam'],
    ['lauki', 'louki'],
  ])('%s and %s fall together', (one, other) => {
    const [p, q] = [foldSpelling(one), foldSpelling(other)]
    expect(p === q || (p.length === q.length && [...p].filter((letter, i) => letter !== q[i]).length <= 1)).toBe(true)
  })

  it('leaves Devanagari and Tamil letters as they are', () => {
    expect(foldSpelling('सूजी हलवा')).toBe('सूजी हलवा')
    expect(foldSpelling('ரவா கேசரி')).toBe('ரவா கேசரி')
  })
})
