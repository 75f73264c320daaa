import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { minuteText } from '../../composables/houseTime'
import { dayOf } from '../../../core/day/spread/dayOf'
import { lanesOf } from '../../../core/day/problem/lanesOf'
import { paddedDay } from '../../../core/day/problem/paddedDay'
import { slackOf } from '../../../core/day/problem/slackOf'
import { DaySolver } from '../../../core/day/planning/solveDay'
import { exampleSpread } from '../../../test/support/spreads'
import { viewOfSpread } from '../../drawings/spreadView'
import DayLanes from './DayLanes.vue'

const spread = exampleSpread()
const day = paddedDay(dayOf(spread, 2000))
const solver = new DaySolver(day)
for (let i = 0; i < 40 && !solver.done; i++) solver.step(() => false)
const plan = solver.plan!
const slack = slackOf(day, plan.starts, lanesOf(day, plan.starts))
const dishes = new Map(spread.dishes.map(dish => [dish.id, { name: dish.card.name, says: 'hot' }]))

const lanes = (more: Partial<InstanceType<typeof DayLanes>['$props']> = {}, width = 1200) => mount(DayLanes, {
  props: {
    view: viewOfSpread(spread, day, plan, width, 78),
    dishes,
    slack,
    pinned: new Set<string>(),
    pours: new Set(['d1.pour', 'd2.pour']),
    chosen: null,
    ...more,
  },
})
const stepOf = (drawn: ReturnType<typeof lanes>, step: string) => drawn.get(`[data-step="${step}"]`)

describe('lanes of a day', () => {
  it('are named groups, one for each pair of hands, fire and vessel that is used', () => {
    const drawn = lanes()
    const groups = drawn.findAll('g[role="group"]').map(group => group.attributes('aria-label'))
    expect(groups.slice(0, 4)).toEqual(['You', 'Ilan', 'Front fire', 'Back fire'])
    expect(groups.length).toBeGreaterThan(5)
  })

  it('keep the focus on a step that goes over to other hands', async () => {
    const drawn = mount(DayLanes, { attachTo: document.body, props: lanes().props() })
    const step = stepOf(drawn, 'd1.roast').element as SVGGElement
    step.focus()
    expect(document.activeElement?.getAttribute('data-step')).toBe('d1.roast')
    const { view } = drawn.props()
    const [first, second, ...others] = view.lanes
    const from = first!.spans.some(span => span.step === 'd1.roast') ? first! : second!
    const span = from.spans.find(one => one.step === 'd1.roast')!
    const given = [first!, second!].map(lane => ({
      ...lane,
      spans: lane === from ? lane.spans.filter(one => one !== span) : [...lane.spans, span],
    }))
    await drawn.setProps({ view: { ...view, lanes: [...given, ...others] } })
    expect(document.activeElement?.getAttribute('data-step')).toBe('d1.roast')
    drawn.unmount()
  })

  it('say of each step what it is, of which dish, from when to when and how much there is to spare', () => {
    const says = stepOf(lanes(), 'd1.roast').attributes('aria-label')!
    const { from, to } = lanesOf(day, plan.starts).hands.flat().find(span => span.step === 'd1.roast')!
    expect(says).toContain(`roast, ${dishes.get('d1')!.name}, ${minuteText(from)} to ${minuteText(to)}`)
    expect(says).toMatch(/min to spare/)
  })

  it('mark what is tight by a word and a pattern, not by colour alone', () => {
    const tight = stepOf(lanes({ slack: { ...slack, 'd1.roast': 4 } }), 'd1.roast')
    expect(tight.attributes('aria-label')).toContain('tight: 4 min to spare')
    expect(tight.find('rect.tight').exists()).toBe(true)
    const loose = stepOf(lanes({ slack: { ...slack, 'd1.roast': 5 } }), 'd1.roast')
    expect(loose.attributes('aria-label')).toContain(', 5 min to spare')
    expect(loose.attributes('aria-label')).not.toContain('tight')
    expect(loose.find('rect.tight').exists()).toBe(false)
    expect(stepOf(lanes({ slack: { ...slack, 'd1.roast': -3 } }), 'd1.roast').attributes('aria-label')).toContain(
      'tight: 0 min to spare',
    )
  })

  it('mark hot pours by a shape of their own, and say what is held', () => {
    const drawn = lanes({ pinned: new Set(['d2.pour']) })
    expect(drawn.findAll('path.hot')).toHaveLength(2)
    expect(stepOf(drawn, 'd2.pour').attributes('aria-label')).toMatch(/, held$/)
    expect(stepOf(drawn, 'd1.pour').attributes('aria-label')).not.toContain('held')
  })

  it('are picked from by touch, Enter and Space, each step once on its hands', async () => {
    const drawn = lanes()
    const step = stepOf(drawn, 'd1.roast')
    expect(step.attributes()).toMatchObject({ role: 'button', tabindex: '0' })
    await step.trigger('click')
    await step.trigger('keydown', { key: 'Enter' })
    await step.trigger('keydown', { key: ' ' })
    expect(drawn.emitted('pick')).toEqual([['d1.roast'], ['d1.roast'], ['d1.roast']])
    expect(drawn.findAll('[data-step="d1.roast"]')).toHaveLength(1)
    expect(drawn.findAll('[tabindex="0"]').length).toBe(drawn.findAll('[data-step]').length)
  })

  it('show which step is chosen, and the others of its dish', () => {
    const drawn = lanes({ chosen: 'd1.roast' })
    expect(stepOf(drawn, 'd1.roast').classes()).toEqual(expect.arrayContaining(['chosen', 'mine']))
    expect(stepOf(drawn, 'd1.pour').classes()).toContain('mine')
    expect(stepOf(drawn, 'd1.pour').classes()).not.toContain('chosen')
    expect(stepOf(drawn, 'd2.pour').classes()).not.toContain('mine')
  })

  it('write letters only where they fit', () => {
    const written = (width: number): number => lanes({}, width).findAll('.span text').length
    expect(written(2600)).toBeGreaterThan(written(700))
    const texts = lanes({}, 700)
      .findAll('.span')
      .map(
        span =>
          [
            Number(span.get('rect').attributes('width')),
            span.find('text').exists() ? span.get('text').text() : '',
          ] as const,
      )
    for (const [width, text] of texts) expect(text.length * 6).toBeLessThanOrEqual(width)
  })
})
