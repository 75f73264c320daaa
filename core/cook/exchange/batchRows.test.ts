import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { FIRST_KITCHEN } from '../../../book/firstKitchen'
import { INGREDIENTS } from '../../../book/ingredients'
import { rememberBatch } from '../batch/rememberBatch'
import { settleCook } from '../batch/settleCook'
import { mainLine } from '../../formulation/dish/mainLine'
import { troublesOf } from '../../formulation/dish/troublesOf'
import { CoreError } from '../../error'
import { replay } from '../../record/replay/replay'
import { readBatchRows } from './batchRows'

const TODAY = '2026-11-30'
const read = (...records: Record<string, string>[]) => readBatchRows(records, TODAY)

describe('a table of old batches', () => {
  it('is read with our own columns', () => {
    const [one] = read({
      id: 'b1',
      dish_id: 'x',
      dish: 'Brick-kiln wheat',
      started_at: '2025-10-12T14:30:00.000Z',
      base_g: '250',
      pan: 'Iron',
      fire: 'Front',
      turned_s: '540',
      off_fire_s: '1500',
      finished_g: '910',
      faults: 'runny greasy',
      line: 'Soft.',
      note: 'for Ilan',
    })
    expect(one).toMatchObject({
      id: 'b1',
      dish: 'Brick-kiln wheat',
      day: '2025-10-12',
      minute: 870,
      base: '250',
      totalMin: 25,
      roastMin: 9,
      finishedG: 910,
      faults: ['runny', 'greasy'],
      line: 'Soft. for Ilan',
      atMs: Date.UTC(2025, 9, 12, 14, 30),
      troubles: [],
    })
  })

  it('is read with plain columns, in whatever case and order', () => {
    const [one, two] = read(
      {
        'Minutes at the fire': '25 min',
        'Date': '12 Oct 2025',
        'Sweet': 'gajar',
        'Amount': '1 kg',
        'What went wrong': 'a little dry',
      },
      { 'Minutes at the fire': '', 'Date': '', 'Sweet': '', 'Amount': '', 'What went wrong': '' },
    )
    expect(one).toMatchObject({
      dish: 'gajar',
      day: '2025-10-12',
      base: '1 kg',
      totalMin: 25,
      roastMin: null,
      faults: ['dry'],
      line: 'a little dry',
      troubles: [],
    })
    expect(two).toBeUndefined()
  })

  it('tells which of two numbers is the day from the whole column, and asks where nothing tells', () => {
    expect(read({ dish: 'a', date: '03/04/2025' }, { dish: 'b', date: '25/04/2025' }).map(one => one.day)).toEqual([
      '2025-04-03',
      '2025-04-25',
    ])
    expect(read({ dish: 'a', date: '03/04/2025' }, { dish: 'b', date: '04/25/2025' }).map(one => one.day)).toEqual([
      '2025-03-04',
      '2025-04-25',
    ])
    expect(read({ dish: 'a', date: '03.04.2025' })[0]!.day).toBe('2025-04-03')
    expect(read({ dish: 'a', date: '03/04/2025' })[0]!.troubles).toContain('day')
  })

  it('says what is wanting in a row, and refuses a day to come', () => {
    expect(read({ dish: '', date: 'soon', base: '', minutes: '2' })[0]!.troubles).toEqual([
      'dish',
      'day',
      'base',
      'minutes',
    ])
    expect(read({ dish: 'a', date: '2027-01-01', base: '250', minutes: '25', roast: '30' })[0]!.troubles).toEqual([
      'future',
      'roast',
    ])
    expect(read({ dish: 'a', date: '2025-02-30', base: '250', minutes: '25' })[0]!.troubles).toEqual(['day'])
  })
})

describe('a remembered batch', () => {
  const [pan] = FIRST_KITCHEN.pans
  const told = {
    pan: pan!,
    fire: FIRST_KITCHEN.fires[0]!,
    cup: FIRST_KITCHEN.measures[0]!,
    baseG: 250,
    mark: null,
    roastMin: 8,
    totalMin: 24,
    atMs: 1_700_000_000_000,
    finishedG: 900,
    outcome: { faults: ['dry'], line: 'Good.' },
  }

  it('is a cook of every dish of the book that has ended, with no more told than is known', () => {
    for (const card of STARTER_DISHES.filter(one => troublesOf(one).length === 0)) {
      const { plan, observations } = rememberBatch({ ...told, card }, INGREDIENTS)
      const cook = replay(plan, observations)
      expect(cook.finishedS, card.id).toBe(24 * 60 + 60)
      expect(cook.outcome).toMatchObject({ faults: ['dry'], line: 'Good.' })
      expect(observations.filter(one => one.kind === 'stage.began').length).toBeLessThanOrEqual(2)
      expect(cook.stage).toBeGreaterThanOrEqual(mainLine(plan.dish).length - 2)
    }
  })

  it('is told at its own times, the roast where it is known, and what is said after the pan once it is off', () => {
    const timesOf = (more: object) =>
      rememberBatch({ ...told, card: STARTER_DISHES[0]!, ...more }, INGREDIENTS)
        .observations.map(({ kind, deviceTime }) => [kind, (deviceTime - told.atMs) / 1000])
    expect(timesOf({})).toEqual([
      ['cook.started', 0],
      ['stage.began', 8 * 60],
      ['stage.began', 24 * 60],
      ['cook.finished', 24 * 60 + 60],
      ['weighed', 24 * 60 + 61],
      ['outcome', 24 * 60 + 62],
      ['gone', 24 * 60 + 63],
    ])
    expect(timesOf({ roastMin: null, finishedG: null, outcome: null }).map(([kind]) => kind)).toEqual([
      'cook.started',
      'stage.began',
      'cook.finished',
      'gone',
    ])
  })

  it('knows of no colour, as nobody saw one', () => {
    const remembered = rememberBatch({ ...told, card: STARTER_DISHES[0]! }, INGREDIENTS)
    expect(settleCook(remembered.plan, remembered.observations).summary.darkestStep).toBeNull()
  })

  it.each([{ baseG: 5 }, { totalMin: 1 }, { roastMin: 60 }])('refuses %o', (wrong) => {
    expect(() => rememberBatch({ ...told, card: STARTER_DISHES[0]!, ...wrong }, INGREDIENTS)).toThrow(CoreError)
  })
})
