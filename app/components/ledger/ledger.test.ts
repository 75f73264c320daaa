import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { ChoiceStub } from '../../../test/support/choiceStub'
import type { BatchTally } from '../../../contracts/batch'
import CauseFinder from './CauseFinder.vue'
import FilterBar from './FilterBar.vue'
import LikedForm from './LikedForm.vue'
import RingsOver from './RingsOver.vue'

const global = { stubs: { NuxtLink: RouterLinkStub, ChoiceSelect: ChoiceStub } }
const tally: BatchTally = {
  count: 12,
  right: 9,
  oldest: 0,
  newest: 1,
  families: [{ id: 'semolina', name: 'semolina', count: 12 }],
  seasons: [],
  fires: [{ id: 'front', name: 'Front fire', count: 12 }],
  dishes: [
    { id: 'a', name: 'One dish', count: 8 },
    { id: 'b', name: 'Another', count: 4 },
  ],
  faults: [{ id: 'runny', name: 'runny', count: 3 }],
  pans: [
    { id: 'p', name: 'Pan', count: 6 },
    { id: 'q', name: 'Other', count: 6 },
  ],
}

describe('why it went wrong', () => {
  const ranked = {
    cause: 'off-early' as const,
    share: 0.62,
    for: [{ of: 'afterTime' as const, value: -1.8, weight: 1.4 }],
    against: [{ of: 'weight' as const, value: 0.1, weight: -0.5 }],
  }
  const edit = { kind: 'minutes' as const, stages: ['take-up'], times: 1.2 }
  const view = () =>
    mount(CauseFinder, {
      props: {
        faults: [{ fault: 'runny' as const, causes: [{ ranked, edit }] }],
        good: 3,
        changes: [{ change: { dish: 'd', version: 2, fault: 'runny', cause: 'off-early' }, at: 0, since: 2, again: 0 }],
        busy: false,
        says: '',
      },
    })

  it('says how likely a cause is, what speaks for and against it, and whether the last change worked', () => {
    const text = view().text()
    expect(text).toContain('62 %')
    expect(text).toContain('shorter than forecast')
    expect(text).toContain('it weighed what was forecast')
    expect(text).toContain('3 batches of this dish')
    expect(text).toContain('it worked')
  })

  it('changes the dish at one touch', async () => {
    const finder = view()
    await finder.findAll('button').find(one => one.text().startsWith('Change the dish'))!.trigger('click')
    expect(finder.emitted('change')).toEqual([['runny', 'off-early', edit]])
  })
})

describe('how it was liked', () => {
  it('takes one answer for each question', async () => {
    const form = mount(LikedForm, { props: { liked: { sweetness: 'less' } } })
    const [sweet] = form.findAll('[role="radiogroup"]')
    expect(sweet!.findAll('input').map(one => one.element.checked)).toEqual([true, false, false])
    await sweet!.findAll('input')[1]!.setValue()
    expect(form.emitted('like')).toEqual([['sweetness', 'right']])
  })
})

describe('looking for batches', () => {
  it('offers only what tells batches apart, with how many', () => {
    const bar = mount(FilterBar, { global, props: { filter: {}, tally } })
    const text = bar.text()
    expect(text).toContain('Dish')
    expect(text).toContain('Pan')
    expect(text).not.toContain('Season')
    expect(text).not.toContain('Base')
    expect(bar.find('button').exists()).toBe(false)
  })

  it('leads back to all', async () => {
    const bar = mount(FilterBar, { global, props: { filter: { dish: 'a' }, tally } })
    await bar.findAll('button').find(one => one.text() === 'All batches')!.trigger('click')
    expect(bar.emitted('change')).toEqual([[{}]])
  })
})

describe('rings', () => {
  it('stand for each batch and say what they are', () => {
    const summary = {
      stones: [
        { fromS: 0, toS: 600, colour: '#ddccaa' },
        { fromS: 600, toS: 1000, colour: '#bb9966' },
      ],
      plannedStones: [],
      keystoneS: 600,
      endS: 1000,
      plannedKeystoneS: null,
      plannedEndS: null,
      plannedKeystoneWindow: null,
      plannedEndWindow: null,
      moments: [],
      baseG: 250,
      finishedG: 1600,
      plannedFinishedG: null,
      weighed: true,
      darkestStep: null,
      faults: [],
      line: '',
    }
    const rings = mount(RingsOver, { props: { batches: [summary, summary], aligned: 'turn', title: 'two batches' } })
    expect(rings.attributes('aria-label')).toBe('two batches')
    expect(rings.findAll('g')).toHaveLength(2)
    expect(rings.findAll('text').map(one => one.text())).toEqual(['A', 'B'])
  })
})
