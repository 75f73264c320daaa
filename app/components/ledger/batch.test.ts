import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import type { BatchListLine } from '../../../contracts/batch'
import type { BatchSummary } from '../../../core/cook/batch/summary'
import { mainLine } from '../../../core/formulation/dish/mainLine'
import { examplePlan, starterPlan } from '../../../test/support/plans'
import BatchStory from './BatchStory.vue'
import DishTrend from './DishTrend.vue'
import ForecastBeside from './ForecastBeside.vue'
import LedgerWall from './LedgerWall.vue'
import PhotoStrip from './PhotoStrip.vue'
import WallRow from './WallRow.vue'
import { eventually } from '../../../test/support/eventually'

const DAY = 86_400_000
const plan = examplePlan()
const summary: BatchSummary = {
  stones: [
    { fromS: 0, toS: 600, colour: '#ddccaa' },
    { fromS: 600, toS: 1000, colour: '#bb9966' },
  ],
  plannedStones: [],
  keystoneS: 600,
  endS: 1000,
  plannedKeystoneS: 650,
  plannedEndS: 1100,
  plannedKeystoneWindow: [580, 720],
  plannedEndWindow: [1010, 1300],
  moments: [
    { kind: 'sign.seen', what: 'aroma', timeS: 480 },
    { kind: 'weighed', what: '1250', timeS: 900 },
  ],
  baseG: 250,
  finishedG: 900,
  plannedFinishedG: 940,
  weighed: true,
  darkestStep: null,
  faults: [],
  line: '',
}
const line = (i: number, more: Partial<BatchSummary> = {}): BatchListLine => ({
  id: `b${i}`,
  dishId: 'd',
  dish: 'One dish',
  startedAt: Date.UTC(2026, 5, 1) - i * 10 * DAY,
  note: '',
  family: 'semolina',
  version: 1,
  pan: null,
  fire: null,
  after: null,
  summary: { ...summary, ...more },
})

describe('what was forecast beside what happened', () => {
  const text = (of: BatchSummary): string => mount(ForecastBeside, { props: { plan, summary: of } }).text()

  it('says of each moment whether it came inside its window', () => {
    expect(text(summary)).toContain('inside the window')
    expect(text(summary)).toContain('earlier than the window')
    expect(text({ ...summary, keystoneS: 800, endS: 1400 })).not.toContain('inside the window')
    expect(text(summary)).toContain('weighed')
  })

  it('speaks of a roast only where one was planned or seen', () => {
    const open = starterPlan('winter-market-carrot')
    const rows = (of: BatchSummary): number =>
      mount(ForecastBeside, { props: { plan: open, summary: of } }).findAll('tbody tr').length
    expect(rows({ ...summary, darkestStep: 'golden' })).toBe(rows(summary) + 1)
    expect(text(summary)).toContain('Roast')
  })

  it('leaves open what is not known', () => {
    const open = text({
      ...summary,
      keystoneS: null,
      endS: null,
      finishedG: null,
      plannedFinishedG: null,
      plannedKeystoneWindow: null,
      plannedEndWindow: null,
      weighed: false,
    })
    expect(open).toContain('not marked')
    expect(open).toContain('not planned')
    expect(open).toContain('unknown')
    expect(open).not.toContain('window')
  })
})

describe('the story of a batch', () => {
  const stage = mainLine(plan.dish)[1]!.id
  const marked = [...summary.moments, { kind: 'stage.began', what: stage, timeS: 120 }]
  const view = () =>
    mount(BatchStory, {
      props: { plan, moments: marked, notes: [{ id: 'n', what: 'smoked a little', timeS: 500 }] as never },
    })

  it('tells what was marked in order of time, a fresh note among it', () => {
    const told = view().findAll('.story li').map(one => one.text())
    expect(told.map(one => one.split(' ')[0])).toEqual(['2:00', '8:00', '8:20', '15:00'])
    expect(told[2]).toContain('smoked a little')
    expect(told[3]).toMatch(/1.250 g/)
  })

  it('takes a note for a minute, and refuses one without', async () => {
    const story = view()
    const [at, words] = story.findAll('input')
    await words!.setValue('turned it down')
    await at!.setValue('soon')
    await story.find('form').trigger('submit')
    await flushPromises()
    await vi.waitFor(() => expect(story.get('.el-form-item__error').text()).toContain('Nothing was written.'))
    for (const [typed, atS] of [['7:30', 450], ['7.5', 450], ['12', 720]] as const) {
      await words!.setValue('turned it down')
      await at!.setValue(typed)
      await story.find('form').trigger('submit')
      await flushPromises()
      expect(story.emitted('note')!.at(-1)).toEqual(['turned it down', atS])
    }
  })
})

describe('photographs', () => {
  it('are shown with what they show, added and removed', async () => {
    const strip = mount(PhotoStrip, {
      props: {
        photos: [{ id: 'p1', at: DAY, width: 400, height: 300 }],
        title: 'One dish',
        now: DAY + 60_000,
        says: '',
      },
    })
    expect(strip.find('img').attributes()).toMatchObject({
      src: '/api/photos/p1',
      alt: 'One dish, photograph 1',
      width: '400',
    })
    expect(strip.text()).toContain('without place or camera')
    await strip.find('[aria-label="Remove photograph 1"]').trigger('click')
    expect(strip.emitted('remove')).toEqual([['p1']])
    const input = strip.find('input').element
    const file = new File(['x'], 'x.jpg', { type: 'image/jpeg' })
    Object.defineProperty(input, 'files', { value: [file] })
    await strip.find('input').trigger('change')
    expect(strip.emitted('add')).toEqual([[file]])
    await strip.setProps({ says: 'Making it small…' })
    expect(strip.find('[role="status"]').text()).toBe('Making it small…')
  })
})

describe('how a dish has moved', () => {
  it('says where it goes and where it is steady', () => {
    const batches = Array.from({ length: 8 }, (_, i) =>
      line(i, { keystoneS: 600 - 30 * i, endS: 1000 - 30 * i + (i % 2) * 8 }),
    )
    const trend = mount(DishTrend, { props: { batches } })
    const [turn, after, yielded] = trend.findAll('figcaption').map(one => one.text())
    expect(turn).toMatch(/3:30 later since 23 Mar/)
    expect(after).toMatch(/steady: 6:4\d ± 0:04/)
    expect(yielded).toContain('steady: 360 g')
    expect(trend.findAll('circle').length).toBe(24)
  })

  it('says nothing of two batches, and marks the faulty ones', () => {
    expect(mount(DishTrend, { props: { batches: [line(0), line(1)] } }).find('figure').exists()).toBe(false)
    const trend = mount(DishTrend, { props: { batches: [line(0, { faults: ['runny'] }), line(1), line(2)] } })
    expect(trend.findAll('.fault')).toHaveLength(3)
    expect(trend.findAll('.line')[0]!.attributes('d')!.match(/[ML]/g)).toHaveLength(3)
  })
})

describe('the wall', () => {
  const view = (count: number, more = true) =>
    mount(LedgerWall, {
      attachTo: document.body,
      props: {
        batches: Array.from({ length: count }, (_, i) => line(i, i % 5 === 0 ? { faults: ['runny'] } : {})),
        more,
        picked: ['b1'],
        named: true,
      },
    })

  it('holds few rows of many batches, with their years, and asks for older ones', async () => {
    const wall = view(400)
    await eventually(() => expect(wall.findAll('li').length).toBeGreaterThan(0))
    expect(wall.findAll('li').length).toBeLessThan(200)
    expect(wall.find('h2').text()).toBe('2026')
    expect(Number.parseFloat(wall.element.getAttribute('style')!.replace('height: ', ''))).toBeGreaterThan(4000)
    expect(wall.emitted('older')).toBeUndefined()
    wall.unmount()
    const few = view(3)
    await eventually(() => expect(few.emitted('older')).toBeDefined())
    few.unmount()
  })

  it('draws a row anew where one of its batches is another', async () => {
    const wall = view(12, false)
    await eventually(() => expect(wall.findAll('li').length).toBe(12))
    const batches = Array.from({ length: 12 }, (_, i) => line(i))
    await wall.setProps({
      batches: batches.map((one, i) => (i === 4 ? { ...one, summary: { ...one.summary, faults: ['gluey'] } } : one)),
    })
    await eventually(() => expect(wall.findAll('li')[4]!.text()).toContain('gluey'))
    expect(wall.findAll('.lozenge')).toHaveLength(1)
    wall.unmount()
  })

  it('opens one at a touch, leaves it to the browser with a key held down, and lays others aside', async () => {
    const wall = view(12, false)
    await eventually(() => expect(wall.findAll('li').length).toBe(12))
    const [first] = wall.findAll('li a')
    expect(first!.attributes('href')).toBe('/ledger/b0')
    expect(first!.text()).toContain('runny')
    await first!.trigger('click', { button: 0, ctrlKey: true })
    expect(wall.emitted('open')).toBeUndefined()
    await first!.trigger('click', { button: 0 })
    expect(wall.emitted('open')).toEqual([['b0']])
    const [, picked, third] = wall.findAll('.pick')
    expect(picked!.attributes('aria-pressed')).toBe('true')
    await third!.trigger('click')
    expect(wall.emitted('pick')).toEqual([['b2']])
    wall.unmount()
  })

  it('draws each arch stone by stone', async () => {
    const strokes: string[] = []
    const pen = {
      reset: vi.fn(),
      scale: vi.fn(),
      beginPath: vi.fn(),
      moveTo: vi.fn(),
      lineTo: vi.fn(),
      strokeStyle: '',
      lineWidth: 0,
      lineJoin: '',
      stroke(): void {
        strokes.push(this.strokeStyle)
      },
    }
    const context = vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(pen as never)
    mount(WallRow, {
      props: {
        cells: [line(0)],
        across: 4,
        width: 400,
        named: true,
        picked: [],
        colours: { line: '#111111', wall: '#eeeeee' },
      },
    })
    await eventually(() => expect(strokes.length).toBeGreaterThan(0))
    expect(strokes).toEqual(['#111111', '#ddccaa', '#bb9966', '#eeeeee', '#eeeeee'])
    context.mockRestore()
  })
})
