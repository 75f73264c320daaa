import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { BatchListLine } from '../../../contracts/batch'
import { mixOf } from '../../../core/materials/composition/mixOf'
import { settingOf } from '../../../core/process/cooling/settingOf'
import { slabOf } from '../../../core/process/cooling/slab'
import { standingOf, type AfterMarks } from '../../../test/support/afterFire'
import { rowOf, starterPlan } from '../../../test/support/plans'
import HouseShelf from './HouseShelf.vue'
import KeepPanel from './KeepPanel.vue'
import ServePanel from './ServePanel.vue'
import SettingLine from './SettingLine.vue'
import { choose } from '../../../test/support/hands'

const HOUR = 3_600_000
const DAY = 24 * HOUR
const carrot = starterPlan('winter-market-carrot')
const stand = (marks: AfterMarks = []) => standingOf(carrot, 900, marks)

describe('where it is kept', () => {
  const view = (now: number, marks: AfterMarks = []) => mount(KeepPanel, { props: { standing: stand(marks), now } })
  const { madeAt, eatBy } = stand()

  it('sends what perishes into the cold in time, with the reason and whose rules decide', () => {
    const text = view(madeAt + HOUR / 2).text()
    expect(text).toContain('Into the cold by')
    expect(text).toContain('Milk is in it.')
    expect(text).toContain('Local food rules decide; when in doubt, throw it out.')
    expect(text).toMatch(/Water activity about 0\.\d\d to 0\.\d\d/)
  })

  it('says by when it is eaten once it is in the cold, and to throw out what is past its time', () => {
    const cold: AfterMarks = [[700, 'put.away', { place: 'cold' }]]
    const until = stand(cold).eatBy
    expect(view(madeAt + HOUR, cold).text()).toMatch(/^.*Best by .*, not after /)
    const past = view(until[1] + HOUR, cold)
    expect(past.find('.says').text()).toMatch(/^Past its time since .*: throw it out\.$/)
    expect(past.find('section').classes()).toContain('warn')
    expect(until[1]).toBeGreaterThan(eatBy[1])
  })

  it('is told where it stands now', async () => {
    const one = view(madeAt)
    const places = one.findAll<HTMLInputElement>('.places input')
    expect(places.map(each => each.element.checked)).toEqual([true, false])
    await places[1]!.setValue()
    expect(one.emitted('put')).toEqual([['cold', false]])
  })
})

describe('serving', () => {
  const mix = mixOf(carrot.amounts.map(one => ({ massG: one.massG, food: rowOf(one.ingredient).nutrients })))
  const view = (more: Partial<InstanceType<typeof ServePanel>['$props']> = {}, marks: AfterMarks = []) =>
    mount(ServePanel, {
      props: {
        standing: stand(marks),
        portionG: 120,
        mix,
        firm: false,
        freeOf: ['pistachio', 'sesame'],
        firstOffered: true,
        thickMm: 30,
        roomC: 27,
        lowW: 300,
        given: [],
        now: stand().madeAt,
        ...more,
      },
    })
  const press = (one: ReturnType<typeof view>, text: string) =>
    one
      .findAll('button')
      .find(each => each.text().includes(text))!
      .trigger('click')

  it('counts portions, and takes those eaten and given away', async () => {
    const one = view()
    expect(one.find('.left').text()).toContain('7 portions of 120 g')
    await one.find('[aria-label="Portions now: less"]').trigger('click')
    await press(one, 'eaten')
    await press(one, 'given away')
    expect(one.emitted('give')).toEqual([[360, 'eaten'], [360, 'given']])
    await press(one, 'Nothing left')
    expect(one.emitted('gone')).toHaveLength(1)
  })

  it('has the first share and the free one set apart before anyone eats, and refuses more than there is', async () => {
    const one = view()
    expect(one.text()).toContain('Before anyone eats')
    expect(one.text()).toContain('A shared pan is not allergen-free.')
    expect(one.text()).toContain('take the share without pistachio nuts and sesame')
    await press(one, 'Without pistachio nuts and sesame')
    expect(one.emitted('give')).toEqual([[120, 'nut-free']])
    await one.find('input').setValue('5000')
    await press(one, 'Set apart')
    expect(one.find('[role="alert"]').text()).toContain('Nothing was changed.')
    expect(one.emitted('give')).toHaveLength(1)
    expect(view({ freeOf: [], firstOffered: false }).find('.apart').exists()).toBe(false)
  })

  it('brings it back: warm with a spoon of milk, or out of the cold ahead', async () => {
    const cold: AfterMarks = [[700, 'put.away', { place: 'cold' }]]
    const one = view({}, cold)
    expect(one.find('.says').text()).toMatch(
      /Warm it about \d+ min on the lowest flame with \d+ g of milk, stirring, until all of it is at 75 °C and steams; once only/,
    )
    await choose(one, 'as the room')
    expect(one.find('.says').text()).toMatch(/Out of the cold .* ahead\./)
    await choose(one, 'cold')
    expect(one.find('.says').text()).toBe('Straight from the cold.')
    expect(one.text()).toContain('tastes less sweet')
  })

  it('shows what was given out, and takes the last back', async () => {
    const one = view({ given: [{ id: 'a', massG: 120, to: 'set-apart' }] })
    expect(one.find('.given').text()).toContain('120 g set apart, first offered')
    await press(one, 'Take the last back')
    expect(one.emitted('takeBack')).toHaveLength(1)
  })
})

describe('a slab that sets', () => {
  const { mass } = stand()
  const setting = settingOf(slabOf(mass.contents, 20, 95, 25), 'soft')
  const cut = setting.cut!
  const says = (seconds: number): string =>
    mount(SettingLine, { props: { setting, spreadAt: 0, now: seconds * 1000, roomC: 25 } })
      .find('h2')
      .text()

  it('is scored, left, looked at and cut, each in its time', () => {
    expect(says(setting.scoreUntilS / 2)).toContain('Score it now')
    expect(says((setting.scoreUntilS + cut.early) / 2)).toContain('Look first at')
    expect(says((cut.early + cut.late) / 2)).toContain('Look now')
    expect(says(cut.late + 60)).toBe('It has set: cut it through.')
  })

  it('goes into the cold where the room is too warm for it', () => {
    const warm = settingOf(slabOf(mass.contents, 20, 95, 40), 'fat')
    const line = mount(SettingLine, { props: { setting: warm, spreadAt: 0, now: 0, roomC: 40 } })
    expect(line.text()).toContain('into the cold')
    expect(line.find('svg').exists()).toBe(false)
  })
})

describe('what is in the house', () => {
  const summary = {
    stones: [{ fromS: 0, toS: 60, colour: '#d9b37a' }],
    keystoneS: 30,
    endS: 60,
    baseG: 250,
    finishedG: 900,
    weighed: true,
    darkestStep: null,
    faults: [],
    line: '',
  }
  const line = (id: string, after: Partial<NonNullable<BatchListLine['after']>>): BatchListLine => ({
    id,
    dishId: 'd',
    dish: `Dish ${id}`,
    startedAt: 0,
    note: '',
    family: null,
    version: 1,
    pan: null,
    fire: null,
    summary,
    after: {
      massG: 900,
      leftG: 340,
      place: 'cold',
      madeAt: 0,
      readyAt: 0,
      eatBy: [3 * DAY, 5 * DAY],
      coldBy: null,
      inCold: [3 * DAY, 5 * DAY],
      liked: {},
      ...after,
    },
  })
  const says = (now: number, after: Partial<NonNullable<BatchListLine['after']>>): string =>
    mount(HouseShelf, { props: { batches: [line('x', after)], now } }).find('.says').text()

  it('says of each what is next: it sets, it is good, it is eaten next, it is thrown out', () => {
    expect(says(DAY, { readyAt: DAY + HOUR })).toContain('sets until about')
    expect(says(DAY, {})).toContain('best by')
    expect(says(4.5 * DAY, {})).toContain('◇ eat it next')
    expect(says(6 * DAY, {})).toBe('◆ past its time: throw it out')
    expect(says(HOUR, { coldBy: 2 * HOUR, place: 'room', eatBy: [2 * HOUR, 2 * HOUR] })).toMatch(
      /into the cold by .*; there best by .*, not after/,
    )
  })

  it('leads to each, with what is left and where, and leaves out what nothing is known of', () => {
    const shelf = mount(HouseShelf, {
      props: { batches: [line('a', {}), { ...line('b', {}), after: null }], now: DAY },
    })
    expect(shelf.findAll('li')).toHaveLength(1)
    expect(shelf.findComponent(RouterLinkStub).props('to')).toBe('/tray/a')
    expect(shelf.text()).toContain('340 g in the cold')
  })
})
