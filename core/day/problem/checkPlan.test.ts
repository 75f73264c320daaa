import { describe, expect, it } from 'vitest'
import { DAY, STARTS, step, SUJI, LENTIL } from '../../../test/support/smallDay'
import { checkDay } from './checkDay'
import { checkPlan, handsOf, standsOver, vesselsOf, type Breach } from './checkPlan'
import type { Day, DayDish, Starts } from './day'
import { dishOf } from './parts'

interface Change {
  readonly day?: Partial<Day>
  readonly suji?: Partial<DayDish>
  readonly starts?: Starts
  readonly late?: Readonly<Record<string, number>>
}
const breaches = ({ day, suji, starts, late }: Change): Breach[] =>
  checkPlan({ ...DAY, dishes: [{ ...SUJI, ...suji }, LENTIL], ...day }, { ...STARTS, ...starts }, late)
/** What a change breaks, each with the nearest change that does not: the edge belongs to what may be. */
const WAYS: readonly (readonly [name: string, broken: Change, wrong: Breach, kept: Change])[] = [
  [
    'begins before now',
    { day: { now: 59 } },
    { kind: 'before-now', step: 'suji.nuts', minute: 58 },
    { day: { now: 58 } },
  ],
  [
    'begins before now, though held at another minute',
    { day: { now: 59, wishes: [{ kind: 'pin', step: 'suji.roast', start: 64 }] } },
    { kind: 'before-now', step: 'suji.nuts', minute: 58 },
    { day: { now: 59, wishes: [{ kind: 'pin', step: 'suji.nuts', start: 58 }] } },
  ],
  [
    'begins too soon after a step',
    { starts: { 'suji.nuts': 59 } },
    { kind: 'lag', step: 'suji.roast', minute: 64 },
    { starts: { 'suji.nuts': 58 } },
  ],
  [
    'begins too long after a step',
    { starts: { 'suji.roast': 62, 'suji.nuts': 50 } },
    { kind: 'lag', step: 'suji.pour', minute: 86 },
    { starts: { 'suji.roast': 63, 'suji.nuts': 50 } },
  ],
  [
    'begins too soon after another dish',
    { day: { links: [{ from: 'suji.stir', to: 'lentil.grind', min: 15, max: null, kind: 'shared' }] } },
    { kind: 'lag', step: 'lentil.grind', minute: 110 },
    { day: { links: [{ from: 'suji.stir', to: 'lentil.grind', min: 14, max: null, kind: 'shared' }] } },
  ],
  [
    'begins too long after another dish',
    { day: { links: [{ from: 'suji.stir', to: 'lentil.grind', min: 0, max: 13, kind: 'shared' }] } },
    { kind: 'lag', step: 'lentil.grind', minute: 110 },
    { day: { links: [{ from: 'suji.stir', to: 'lentil.grind', min: 0, max: 14, kind: 'shared' }] } },
  ],
  [
    'is not where it was held',
    { day: { wishes: [{ kind: 'pin', step: 'suji.roast', start: 65 }] } },
    { kind: 'wish', step: 'suji.roast', minute: 64 },
    { day: { wishes: [{ kind: 'pin', step: 'suji.roast', start: 64 }] } },
  ],
  [
    'runs into a forbidden time',
    { day: { wishes: [{ kind: 'forbid', step: 'suji.roast', from: 83, to: 90 }] } },
    { kind: 'wish', step: 'suji.roast', minute: 64 },
    { day: { wishes: [{ kind: 'forbid', step: 'suji.roast', from: 84, to: 90 }] } },
  ],
  [
    'begins within a forbidden time',
    { day: { wishes: [{ kind: 'forbid', step: 'suji.roast', from: 0, to: 65 }] } },
    { kind: 'wish', step: 'suji.roast', minute: 64 },
    { day: { wishes: [{ kind: 'forbid', step: 'suji.roast', from: 0, to: 64 }] } },
  ],
  [
    'comes to the table late',
    {
      day: {
        meals: [
          { id: 'lunch', at: 97 },
          { id: 'tea', at: 300 },
        ],
      },
    },
    { kind: 'late', step: 'suji.stir', minute: 90 },
    {
      day: {
        meals: [
          { id: 'lunch', at: 98 },
          { id: 'tea', at: 300 },
        ],
      },
    },
  ],
  [
    'is late by its ready minutes',
    { suji: { ready: 5 } },
    { kind: 'late', step: 'suji.stir', minute: 90 },
    { suji: { ready: 4 } },
  ],
  [
    'is late for a meal that is moved too little',
    { suji: { ready: 8, stands: { from: 'pour', most: 99 } }, late: { lunch: 3 } },
    { kind: 'late', step: 'suji.stir', minute: 90 },
    { suji: { ready: 8, stands: { from: 'pour', most: 99 } }, late: { lunch: 4 } },
  ],
  [
    'is too early for a meal that is moved, and for no other',
    { suji: { stands: { from: 'pour', most: 999 } }, late: { lunch: 239 } },
    { kind: 'too-early', step: 'suji.stir', minute: 90 },
    { suji: { stands: { from: 'pour', most: 999 } }, late: { lunch: 238, tea: 500 } },
  ],
  [
    'stands too long',
    { suji: { stands: { from: 'pour', most: 9 } } },
    { kind: 'stands', step: 'suji.pour', minute: 86 },
    { suji: { stands: { from: 'pour', most: 10 } } },
  ],
  [
    'stands too long because its meal is moved',
    { late: { lunch: 2 } },
    { kind: 'stands', step: 'suji.pour', minute: 86 },
    { late: { lunch: 1 } },
  ],
  [
    'takes more fires than there are',
    { day: { burners: 1 } },
    { kind: 'fires', step: 'suji.liquid', minute: 73 },
    { day: { burners: 2 } },
  ],
  [
    'pours what has cooled',
    { suji: { hotPour: { ...SUJI.hotPour!, max: 2 } } },
    { kind: 'cold-pour', step: 'suji.pour', minute: 86 },
    { suji: { hotPour: { ...SUJI.hotPour!, max: 3 } } },
  ],
  [
    'pours what is not hot yet',
    { starts: { 'suji.liquid': 77 } },
    { kind: 'cold-pour', step: 'suji.pour', minute: 86 },
    { starts: { 'suji.liquid': 76 } },
  ],
  [
    'heats again before it was hot',
    { starts: { 'suji.reheat': 82 }, day: { burners: 3 } },
    { kind: 'reheat', step: 'suji.pour', minute: 86 },
    { starts: { 'suji.reheat': 83 } },
  ],
  [
    'pours before it is hot again',
    { starts: { 'suji.reheat': 84 } },
    { kind: 'reheat', step: 'suji.pour', minute: 86 },
    { starts: { 'suji.reheat': 83 } },
  ],
  [
    'pours what has cooled again',
    { starts: { 'suji.liquid': 60, 'suji.reheat': 77 }, day: { burners: 3 } },
    { kind: 'reheat', step: 'suji.pour', minute: 86 },
    { starts: { 'suji.liquid': 60, 'suji.reheat': 78 }, day: { burners: 3 } },
  ],
  [
    'heats again what waited too long',
    { starts: { 'suji.liquid': 45, 'suji.reheat': 80 } },
    { kind: 'reheat', step: 'suji.pour', minute: 86 },
    { starts: { 'suji.liquid': 46, 'suji.reheat': 80 } },
  ],
  [
    'holds a vessel while it is washed',
    {
      day: { washMin: 11, vessels: DAY.vessels.filter(one => one.id !== 'large') },
      starts: { 'lentil.grind': 80, 'lentil.cook': 106 },
    },
    { kind: 'vessels', step: '', minute: 0 },
    {
      day: { washMin: 10, vessels: DAY.vessels.filter(one => one.id !== 'large') },
      starts: { 'lentil.grind': 80, 'lentil.cook': 106 },
    },
  ],
]

describe('the checker of plans', () => {
  it('finds nothing in a plan that can be done', () => {
    expect(checkDay(DAY)).toEqual([])
    expect(checkPlan(DAY, STARTS)).toEqual([])
  })

  it.each(WAYS)('finds that a step %s, and where it just does not', (_, broken, wrong, kept) => {
    expect(breaches(broken)).toContainEqual(wrong)
    expect(new Set(breaches(broken).map(one => one.kind))).toEqual(new Set([wrong.kind]))
    expect(breaches(kept)).toEqual([])
  })

  it('names every step that is missing, and says nothing else', () => {
    const { 'suji.roast': _, 'lentil.cook': __, ...rest } = STARTS
    expect(checkPlan(DAY, rest)).toEqual([
      { kind: 'missing', step: 'suji.roast', minute: 0 },
      { kind: 'missing', step: 'lentil.cook', minute: 0 },
    ])
  })

  it('counts hands minute by minute, and of those who are there alone', () => {
    const one: Change = { day: { cooks: 1 } }
    expect(breaches(one)).toEqual([])
    const beside = { ...one, starts: { 'lentil.grind': 60, 'lentil.cook': 85 }, day: { cooks: 1, burners: 3 } }
    const minutes = breaches(beside)
      .filter(found => found.kind === 'hands' && found.step !== '')
      .map(found => found.minute)
    // Grinding from 60 to 75 beside nuts to 63 and the roast from 64; stirring along from 85 on beside the pour.
    expect(minutes).toEqual([60, 61, 62, ...Array.from({ length: 11 }, (_, i) => 64 + i), 86, 87, 88, 89])
    expect(breaches({ ...beside, day: { cooks: 2, burners: 3 } })).toEqual([])
    const gone = { cook: 1, from: 62, to: 63, why: 'door' } as const
    expect(breaches({ ...beside, day: { cooks: 2, burners: 3, away: [gone] } }).filter(found => found.step !== ''))
      .toEqual([{ kind: 'hands', step: 'lentil.grind', minute: 62 }])
  })

  it('lets nothing stand on the fire while nobody is there', () => {
    const away = (cook: 0 | 1 | 'all', from: number, to: number) => ({ cook, from, to, why: 'out' })
    const alone: Change = { suji: { activities: SUJI.activities.map(one => ({ ...one, hands: 0 })) } }
    const wrong = (...gone: ReturnType<typeof away>[]): Breach[] => breaches({ ...alone, day: { away: gone } })
    expect(wrong(away('all', 63, 66))).toEqual(
      [64, 65].map(minute => ({ kind: 'nobody-there', step: 'suji.roast', minute })),
    )
    expect(wrong(away(0, 63, 65), away(1, 64, 66))).toEqual([{ kind: 'nobody-there', step: 'suji.roast', minute: 64 }])
    expect(wrong(away(0, 50, 99))).toEqual([])
    expect(wrong(away('all', 63, 64), away('all', 96, 110), away('all', 125, 140))).toEqual([])
  })

  it('lets nobody hand over a pan, and nobody do what is not theirs', () => {
    const busy = (id: string, from: number, to: number, hands: 0.5 | 1, cooks?: readonly number[]) =>
      ({ step: id, from, to, activity: step(id, to - from, hands, 0, cooks ? { cooks } : {}) })
    const day = (cooks: number, away: Day['away'] = []): Day => ({ ...DAY, cooks, away })
    expect(handsOf(day(1), [busy('a', 0, 10, 0.5), busy('b', 5, 15, 0.5)])?.get('b')).toBe(0)
    expect(handsOf(day(1), [busy('a', 0, 10, 0.5), busy('b', 9, 15, 1)])).toBeNull()
    expect(handsOf(day(1), [busy('a', 0, 10, 1), busy('b', 10, 15, 1)])).not.toBeNull()
    expect(handsOf(day(2), [busy('a', 0, 10, 1), busy('b', 9, 15, 1)])?.get('b')).toBe(1)
    expect(handsOf(day(2), [busy('a', 0, 10, 1, [1])])?.get('a')).toBe(1)
    expect(handsOf(day(1), [busy('a', 0, 10, 1, [1])])).toBeNull()
    // Each minute has hands enough, but whoever begins would have to leave.
    const halves = [{ cook: 0, from: 5, to: 9, why: 'out' }, { cook: 1, from: 0, to: 5, why: 'out' }] as const
    expect(handsOf(day(2, halves), [busy('a', 0, 9, 1)])).toBeNull()
    expect(handsOf(day(2, halves), [busy('a', 0, 5, 1), busy('b', 5, 9, 1)])).toEqual(new Map([['a', 0], ['b', 1]]))
  })

  it('gives each dish a vessel for all of its time, the large pan also where a heavy one serves', () => {
    const held = (need: string, from: number, to: number) => ({ need, step: `${need} ${from}`, from, to })
    const taken = (...holds: ReturnType<typeof held>[]) => vesselsOf(DAY, holds)
    expect([...taken(held('heavy', 0, 9), held('heavy', 8, 20))!.values()]).toEqual(['pan', 'large'])
    expect(taken(held('heavy', 0, 9), held('heavy', 8, 20), held('heavy', 8, 9))).toBeNull()
    expect([...taken(held('heavy', 0, 9), held('heavy', 9, 20))!.values()]).toEqual(['pan', 'pan'])
    expect(taken(held('heavyL', 0, 9), held('heavyL', 8, 20))).toBeNull()
    expect([...taken(held('heavy', 0, 9), held('heavyL', 1, 9))!.values()]).toEqual(['pan', 'large'])
    expect(taken(held('tray', 0, 9))).toBeNull()
    expect(breaches({ day: { vessels: DAY.vessels.filter(one => one.kind !== 'grinder') } }))
      .toEqual([{ kind: 'vessels', step: '', minute: 0 }])
  })

  it('says by how much a dish stands longer than it may', () => {
    const suji = dishOf(DAY, 'suji')
    // Poured at 86 to 90, eaten at 100, eleven minutes allowed.
    expect(standsOver(DAY, suji, STARTS, 0)).toBe(-1)
    expect(standsOver(DAY, suji, STARTS, 30)).toBe(29)
    expect(standsOver(DAY, { ...suji, stands: { from: 'stir', most: 1 } }, STARTS, 0)).toBe(3)
    expect(standsOver(DAY, dishOf(DAY, 'lentil'), STARTS, 500)).toBe(0)
  })
})
