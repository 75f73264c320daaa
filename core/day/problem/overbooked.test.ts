import { describe, expect, it } from 'vitest'
import { DAY, STARTS } from '../../../test/support/smallDay'
import type { Day, Starts } from './day'
import { overbooked } from './overbooked'

describe('what is no longer possible', () => {
  const found = (day: Partial<Day>, starts: Starts = {}, begun: readonly string[] = []): string[] =>
    overbooked({ ...DAY, ...day }, { ...STARTS, ...starts }, new Set(begun))
  const beside: Starts = { 'lentil.grind': 50, 'lentil.cook': 70 }

  it('is nothing of a plan that holds', () => {
    expect(found({})).toEqual([])
    expect(found({}, beside)).toEqual(['suji.liquid'])
  })

  it('is what finds no fire, but what is begun goes on', () => {
    expect(found({ burners: 1 })).toEqual(['suji.liquid'])
    expect(found({ burners: 1 }, {}, ['suji.liquid'])).toEqual([])
    expect(found({ burners: 3 }, beside)).toEqual([])
  })

  it('is what would burn while nobody is there', () => {
    const gone = (from: number, to: number): Partial<Day> => ({ away: [{ cook: 'all', from, to, why: 'out' }] })
    expect(found(gone(62, 64))).toEqual(['suji.nuts'])
    expect(found(gone(63, 64))).toEqual([])
    expect(found(gone(150, 160))).toEqual(['lentil.cook'])
  })

  it('is what finds no hands as it begins', () => {
    expect(found({ cooks: 1 }, { 'lentil.grind': 60, 'lentil.cook': 110 })).toEqual(['lentil.grind', 'suji.roast'])
    expect(found({ cooks: 1 }, { 'lentil.grind': 96 })).toEqual([])
  })

  it('is what finds no vessel, the washing counted', () => {
    const pans = DAY.vessels.filter(one => one.kind !== 'heavyL')
    expect(found({ vessels: pans, burners: 3 }, { 'lentil.grind': 50, 'lentil.cook': 95 })).toEqual(['lentil.cook'])
    expect(found({ vessels: pans, burners: 3 }, { 'lentil.grind': 50, 'lentil.cook': 96 })).toEqual([])
    expect(found({ vessels: pans, burners: 3, washMin: 1 }, { 'lentil.grind': 50, 'lentil.cook': 96 })).toEqual(['lentil.cook'])
    expect(found({ vessels: [] })).toEqual(['suji.nuts', 'suji.liquid', 'lentil.grind', 'lentil.cook'])
    const large = DAY.vessels.filter(one => one.kind !== 'heavy')
    expect(found({ vessels: large })).toEqual([])
  })
})
