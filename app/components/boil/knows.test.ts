import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import type { BatchListLine } from '../../../contracts/batch'
import type { Correction } from '../../../core/materials/composition/correction'
import type { Liking } from '../../../core/record/marks/afterFire'
import HouseKnows from './HouseKnows.vue'

const tasted = (id: string, sweetness: number, liking?: Liking): BatchListLine => ({
  id, dishId: 'd', dish: `Dish ${id}`, startedAt: 0, note: '', family: null, version: 1, pan: null, fire: null,
  summary: {
    stones: [],
    keystoneS: null,
    endS: null,
    baseG: 250,
    finishedG: 900,
    weighed: true,
    darkestStep: null,
    faults: [],
    line: '',
  },
  after: {
    massG: 900,
    leftG: 0,
    place: 'room',
    madeAt: 0,
    readyAt: 0,
    eatBy: [0, 0],
    coldBy: null,
    inCold: [0, 0],
    liked: liking ? { sweetness: liking } : {},
    sweetness,
  },
})
const view = (batches: readonly BatchListLine[], corrections: readonly Correction[] = []) =>
  mount(HouseKnows, {
    props: { batches, corrections, table: INGREDIENTS },
  })

describe('what the house likes and has weighed', () => {
  it('says how sweet, between what, and by which batches; each can be forgotten', async () => {
    const knows = view([tasted('a', 24, 'less'), tasted('b', 18, 'right'), tasted('c', 30)])
    expect(knows.text()).toMatch(/As sweet as \d+ g of sugar in 100 g \(\d+ to \d+\), by 2 batches:/)
    expect(knows.text()).toContain('24 g, too sweet')
    await knows.find('button').trigger('click')
    expect(knows.emitted('forget')![0]).toMatchObject([{ id: 'a' }])
  })

  it('says so where nobody has said anything or weighed anything', () => {
    const text = view([]).text()
    expect(text).toContain('Nobody has said yet')
    expect(text).toContain('All from the table.')
  })

  it('sets what was weighed beside the table, and forgets it', async () => {
    const [row] = INGREDIENTS
    const knows = view([], [{ id: row!.id, bulkDensity: 0.71, prepared: 0.8 }, { id: 'no-such-thing', bulkDensity: 1 }])
    const items = knows.findAll('li')
    expect(items).toHaveLength(1)
    expect(items[0]!.text()).toMatch(
      new RegExp(`a litre 7[0-2]\\d g \\(.* to .*\\) by 1 weighing, table ${1000 * row!.bulkDensity} g`),
    )
    expect(items[0]!.text()).toContain('80 % left when got ready')
    await items[0]!.find('button').trigger('click')
    expect(knows.emitted('drop')).toEqual([[row!.id]])
  })
})
