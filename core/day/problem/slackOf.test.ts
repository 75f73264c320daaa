import { describe, expect, it } from 'vitest'
import { DAY, STARTS } from '../../../test/support/smallDay'
import type { Day, Starts } from './day'
import { lanesOf } from './lanesOf'
import { slackOf } from './slackOf'

const slack = (day: Day = DAY, more: Starts = {}, late: Readonly<Record<string, number>> = {}) => {
  const starts = { ...STARTS, ...more }
  return slackOf(day, starts, lanesOf(day, starts), late)
}

describe('the slack of a step', () => {
  it('is what is left to the table, step by step backwards', () => {
    // Stirred from 92 on at the latest for 98; poured from 88, roasted from 68, the liquid from 78, the nuts from 62.
    expect(slack()).toEqual({
      'suji.nuts': 4, 'suji.roast': 4, 'suji.liquid': 5, 'suji.pour': 2, 'suji.stir': 2,
      'lentil.grind': 140, 'lentil.cook': 130,
    })
  })

  it('is as much more as its meal is moved', () => {
    expect(slack(DAY, {}, { lunch: 10 })).toMatchObject({ 'suji.nuts': 14, 'suji.stir': 12, 'lentil.cook': 130 })
  })

  it('counts a liquid that is heated again', () => {
    // Heated again from 85 at the latest, so first from 75.
    expect(slack(DAY, { 'suji.reheat': 83 })).toMatchObject({ 'suji.liquid': 2, 'suji.reheat': 2, 'suji.pour': 2 })
  })

  it('keeps the order of hands, and waits between dishes', () => {
    const early = { 'lentil.grind': 20 }
    // The one cook grinds before the nuts, which may begin at 62.
    expect(slack({ ...DAY, cooks: 1 }, early)['lentil.grind']).toBe(62 - 15 - 20)
    // Also where it ends the minute they begin.
    expect(slack({ ...DAY, cooks: 1 }, { 'lentil.grind': 43 })['lentil.grind']).toBe(62 - 15 - 43)
    const links = [{ from: 'lentil.grind', to: 'suji.roast', min: 30, max: null, kind: 'shared' }]
    expect(slack({ ...DAY, links }, early)['lentil.grind']).toBe(68 - 30 - 15 - 20)
  })

  it('is left out for what nothing waits for, and below nought for what is late', () => {
    expect(slack(DAY, { 'suji.stir': 95 })['suji.stir']).toBe(-3)
    const [suji, lentil] = DAY.dishes
    const idle = { id: 'idle', dur: [1, 1, 1] as const, hands: 0 as const, burner: 0 as const }
    const loose = { ...DAY, dishes: [{ ...suji!, activities: [...suji!.activities, idle] }, lentil!] }
    expect(slack(loose, { 'suji.idle': 30 })).not.toHaveProperty(['suji.idle'])
  })
})
