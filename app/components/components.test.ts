import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { spansOf, placeInSpan } from '../../core/formulation/dish/spans'
import { actionsOf } from '../../core/cook/guidance/actions'
import { replay } from '../../core/record/replay/replay'
import { roastColours } from '../composables/roastColours'
import { examplePlan, marked } from '../../test/support/plans'
import ActionBar from './ActionBar.vue'
import ArchDrawing from './ArchDrawing.vue'
import FinishForm from './FinishForm.vue'
import IngredientVessels from './IngredientVessels.vue'
import PanDrawing from './PanDrawing.vue'
import SmallArch from './SmallArch.vue'
import SpanBand from './SpanBand.vue'
import { choose, chosenIn } from '../../test/support/hands'

const stones = Array.from({ length: 10 }, (_, i) => ({ fromS: i * 120, toS: (i + 1) * 120, colour: '#d9bb91' }))
const shape = { width: 880, height: 628, stone: 60, margin: 72 }
const arch = (props: Record<string, unknown> = {}) =>
  mount(ArchDrawing, { props: { shape, stones, keystoneS: 600, endS: 1200, title: 'An arch', ...props } })

describe('the arch', () => {
  it('draws a stone in its colour for each span, and says what it is', () => {
    const drawn = arch()
    expect(drawn.findAll('path[fill="#d9bb91"]')).toHaveLength(10)
    expect(drawn.attributes('role')).toBe('img')
    expect(drawn.attributes('aria-label')).toBe('An arch')
    expect(drawn.get('path.key').attributes('d')!.match(/M/g)).toHaveLength(1)
  })

  it('shows how far it is only while something runs', () => {
    expect(arch().find('.hand').exists()).toBe(false)
    expect(arch({ nowS: 300 }).find('.hand').exists()).toBe(true)
  })

  it('puts bands that overlap on tracks of their own and labels them', () => {
    const bands = [
      { id: 'smell', kind: 'sign', label: 'smell', times: '4:00–7:00', fromS: 240, toS: 420 },
      { id: 'pour', kind: 'turn', label: 'pour', times: '6:00–11:00', fromS: 360, toS: 660 },
      { id: 'end', kind: 'sign', label: 'end', times: '15:00–20:00', fromS: 900, toS: 1200 },
    ]
    const drawn = arch({ bands, labels: true })
    expect(drawn.findAll('.band')).toHaveLength(3)
    expect(drawn.text()).toContain('pour')
    expect(drawn.text()).toContain('6:00–11:00')
    expect(new Set(drawn.findAll('.band').map(band => band.attributes('d'))).size).toBe(3)
    expect(arch({ bands }).text()).toBe('')
  })

  it('marks a fault with a shape, not with a colour alone', () => {
    expect(arch({ fault: true }).find('path.fault').exists()).toBe(true)
    expect(arch().find('path.fault').exists()).toBe(false)
  })

  it('is the same arch small', () => {
    const small = mount(SmallArch, { props: { stones, keystoneS: 600, title: '12 Jun', fault: true } })
    expect(small.findAll('path[fill="#d9bb91"]')).toHaveLength(10)
    expect(small.find('path.fault').exists()).toBe(true)
    expect(
      mount(SmallArch, { props: { stones: [], keystoneS: null, title: 'nothing' } })
        .find('svg')
        .exists(),
    ).toBe(true)
  })
})

describe('the pan', () => {
  const pan = (props: Record<string, unknown>) =>
    mount(PanDrawing, { props: { diameterMm: 260, depthMm: 80, contentMm: 20, colour: '#c8a070', ...props } })

  it('holds its content in the colour of the food, and stands on as many flames as burn', () => {
    const drawn = pan({ flames: 2, mostFlames: 6 })
    expect(drawn.find('path[fill="#c8a070"]').exists()).toBe(true)
    expect(drawn.findAll('.flame')).toHaveLength(6)
    expect(drawn.findAll('.flame.on')).toHaveLength(2)
  })

  it('has a line for what it will hold, a lid and a handle where asked', () => {
    expect(pan({ lineMm: 40 }).find('line.line').exists()).toBe(true)
    expect(pan({}).find('line.line').exists()).toBe(false)
    expect(pan({ lid: true }).findAll('.wall')).toHaveLength(2)
    expect(pan({ handle: false }).find('.handle').exists()).toBe(false)
  })
})

describe('the big actions', () => {
  const plan = examplePlan()
  const bar = (count: number) => {
    const story = [
      marked(1, 0, 'cook.started'),
      marked(2, 300, 'stage.began', { stage: 'roast' }),
      marked(3, 500, 'sign.seen', { sign: 'aroma' }),
    ]
    return mount(ActionBar, {
      props: {
        plan,
        actions: actionsOf(plan, replay(plan, story.slice(0, count)), null, 100 * count),
        colours: roastColours(plan),
        thought: 'golden',
      },
    })
  }

  it('mark what they say, the first one being waited for', async () => {
    const drawn = bar(0)
    expect(drawn.findAll('button')).toHaveLength(1)
    await drawn.get('[data-action="start"]').trigger('click')
    expect(drawn.emitted('mark')).toEqual([[{ kind: 'cook.started', payload: {} }]])
    expect(bar(2).findAll('button')[0]!.classes()).toContain('el-button--primary')
  })

  it('open the colours in their place and mark the one that is chosen', async () => {
    const drawn = bar(3)
    await drawn.get('[data-action="looks"]').trigger('click')
    expect(drawn.findAll('.swatch')).toHaveLength(5)
    expect(drawn.findAll('button')[1]!.text()).toContain('forecast: now')
    await drawn.findAll('button')[1]!.trigger('click')
    expect(drawn.emitted('mark')).toEqual([[{ kind: 'looks.like', payload: { step: 'golden' } }]])
    expect(drawn.find('[data-action="looks"]').exists()).toBe(true)
  })

  it('close the colours without a mark', async () => {
    const drawn = bar(3)
    await drawn.get('[data-action="looks"]').trigger('click')
    await drawn.findAll('button').at(-1)!.trigger('click')
    expect(drawn.emitted('mark')).toBeUndefined()
  })

  it('are pressed by their place, also among the colours', async () => {
    const drawn = bar(3)
    const exposed = drawn.vm as unknown as { pressAt(place: number): void, close(): void }
    exposed.pressAt(0)
    await drawn.vm.$nextTick()
    exposed.pressAt(2)
    exposed.pressAt(7)
    expect(drawn.emitted('mark')).toEqual([[{ kind: 'looks.like', payload: { step: 'deep-golden' } }]])
  })
})

describe('an action that changes under the hand', () => {
  const plan = examplePlan()
  const story = [marked(1, 0, 'cook.started'), marked(2, 300, 'stage.began', { stage: 'roast' })]
  const of = (count: number) => actionsOf(plan, replay(plan, story.slice(0, count)), null, 100)

  it('cannot be pressed for a moment, by hand or by key, and then it can', async () => {
    vi.useFakeTimers()
    const drawn = mount(ActionBar, { props: { plan, actions: of(1), colours: roastColours(plan), thought: null } })
    await drawn.setProps({ actions: of(2) })
    const first = drawn.get('[data-action="sign.aroma"]')
    expect(first.attributes('disabled')).toBeDefined()
    ;(drawn.vm as unknown as { pressAt(place: number): void }).pressAt(0)
    expect(drawn.emitted('mark')).toBeUndefined()
    await vi.advanceTimersByTimeAsync(450)
    await first.trigger('click')
    expect(drawn.emitted('mark')).toEqual([[{ kind: 'sign.seen', payload: { sign: 'aroma' } }]])
    vi.useRealTimers()
  })
})

describe('a level in a drawn cup', () => {
  const cups = (count: number) => mount(IngredientVessels, {
    props: {
      count,
      cup: { topMm: 68, bottomMm: 52, heightMm: 78 },
      colour: '#e0c080',
      name: 'Ghee, drag to change',
      valueText: '1¼ glasses, 195 g',
      scale: 1,
      width: 200,
    },
  })

  it('draws as many cups as are filled, one at least', () => {
    const walls = (count: number): number => cups(count).get('path.wall').attributes('d')!.split('M').length - 1
    expect([2.4, 2, 0].map(walls)).toEqual([3, 2, 1])
  })

  it('is a slider for keyboard and screen reader', async () => {
    const drawn = cups(1.25)
    expect(drawn.attributes('role')).toBe('slider')
    expect(drawn.attributes('aria-valuetext')).toBe('1¼ glasses, 195 g')
    await drawn.trigger('keydown', { key: 'ArrowUp' })
    await drawn.trigger('keydown', { key: 'PageDown' })
    await drawn.trigger('keydown', { key: 'x' })
    expect(drawn.emitted('change')).toEqual([[1.5], [0.25]])
  })
})

describe('a span', () => {
  const here = (ratio: number) =>
    mount(SpanBand, { props: { standing: placeInSpan('fat', ratio, spansOf({ family: 'semolina' })) } })

  it('stands further right the more there is, and says when it is outside', () => {
    const x = (ratio: number): number => Number(here(ratio).get('.here').attributes('x'))
    expect(x(0.5)).toBeLessThan(x(0.9))
    expect(here(0.9).get('.here').classes()).not.toContain('out')
    expect(here(1.6).get('.here').classes()).toContain('out')
  })
})

describe('how it turned out', () => {
  it('tells every change at once, faults and line together', async () => {
    const form = mount(FinishForm, { props: { offered: ['dry', 'gluey', 'burnt'], faults: ['dry'], line: 'too long' } })
    expect(chosenIn(form)).toEqual(['dry'])
    await choose(form, 'gluey')
    await choose(form, 'dry', false)
    await form.get('#line').setValue('  roast longer ')
    await form.get('#line').trigger('change')
    const told = form.emitted('outcome')!
    expect(told.slice(0, 2)).toEqual([[['dry', 'gluey'], 'too long'], [['gluey'], 'too long']])
    expect(told.at(-1)).toEqual([['gluey'], 'roast longer'])
  })
})
