import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import type { Clash } from '../../../core/day/planning/clashOf'
import { dayOf } from '../../../core/day/spread/dayOf'
import { paddedDay } from '../../../core/day/problem/paddedDay'
import { DaySolver } from '../../../core/day/planning/solveDay'
import { todayOf } from '../../../core/day/spread/todayOf'
import { STARTER_DISHES } from '../../../book/dishes'
import { withChoices } from '../../../test/support/choiceStub'
import { exampleSpread } from '../../../test/support/spreads'
import { viewOfSpread } from '../../drawings/spreadView'
import DayDishes from './DayDishes.vue'
import DayDrawing from './DayDrawing.vue'
import DayHands from './DayHands.vue'
import DayKitchen from './DayKitchen.vue'
import DayNow from './DayNow.vue'
import DayPromises from './DayPromises.vue'
import DaySaid from './DaySaid.vue'
import StepPanel from './StepPanel.vue'

const spread = exampleSpread()
const day = dayOf(spread, 2000)
const padded = paddedDay(day)
const solver = new DaySolver(padded)
for (let i = 0; i < 40 && !solver.done; i++) solver.step(() => false)
const { starts } = solver.plan!
const view = viewOfSpread(spread, padded, solver.plan!, 1200, 78)
const names = new Map([...spread.dishes.map(dish => [dish.id, dish.card.name] as const), ...spread.meals.map(meal => [meal.id, meal.name] as const)])
const dishes = new Map(spread.dishes.map(dish => [dish.id, { name: dish.card.name, says: 'hot, 180 g' }]))
const global = { ...withChoices, stubs: { ...withChoices.stubs, NuxtLink: { props: ['to'], template: '<a :href="to"><slot /></a>' } } }
const button = (wrapper: ReturnType<typeof mount>, text: string) => wrapper.findAll('button').find(one => one.text().includes(text))!

describe('the drawing of a day', () => {
  const drawn = (more = {}) => mount(DayDrawing, { props: { view, dishes, meals: names, slack: { 'd1.pour': 2, 'd1.roast': 40 }, pinned: new Set(['d2.pour']), pours: new Set(['d1.pour', 'd2.pour']), chosen: null, now: null, ...more } })

  it('names every dish and lane, and says of a step when it is, what is tight and what is held', () => {
    const text = drawn()
    expect(text.text()).toContain('Semolina d1')
    expect(text.text()).toContain('Front fire')
    expect(text.find('[data-step="d1.pour"]').attributes('aria-label')).toMatch(/pour, Semolina d1, \d\d:\d\d to \d\d:\d\d, tight: 2 min to spare/)
    expect(text.find('[data-step="d1.roast"]').attributes('aria-label')).toContain('40 min to spare')
    expect(text.find('[data-step="d2.pour"]').attributes('aria-label')).toContain('held')
    expect(text.findAll('.tight')).toHaveLength(1)
    expect(text.find('.legend').text()).toContain('under five minutes to spare')
    expect(text.findAll('.hot')).toHaveLength(2)
    expect(text.findAll('.dish .pin')).toHaveLength(1)
  })

  it('is moved by the keyboard, five minutes at a time or one', async () => {
    const wrapper = drawn()
    const dish = wrapper.find('[data-dish="d1"]')
    await dish.trigger('keydown', { key: 'ArrowLeft' })
    await dish.trigger('keydown', { key: 'ArrowRight', shiftKey: true })
    await dish.trigger('keydown', { key: 'Enter' })
    expect(wrapper.emitted('move')).toEqual([['d1', -5, true], ['d1', 1, true]])
    expect(wrapper.emitted('pick')).toEqual([['d1']])
    await wrapper.find('[data-step="d1.pour"]').trigger('keydown.enter')
    expect(wrapper.emitted('pick')!.at(-1)).toEqual(['d1.pour'])
  })

  it('shows where in the day it is', () => {
    expect(drawn({ now: starts['d1.pour'] }).findAll('.now')).toHaveLength(1)
    expect(drawn({ now: 100 }).findAll('.now')).toHaveLength(0)
  })
})

describe('what is said of a plan', () => {
  const base = { planned: { ...solver.plan!, bound: 10, proven: false, room: 1 }, meals: [{ name: 'Dinner', begins: 2400, spanMin: 100, latest: 2410, lateMin: 0 }], tries: { tries: 400, lateTries: 3, pours: 800, coldPours: 0 }, troubles: [], names, seeking: false, cannot: false, clash: null, offers: null, chillable: [], waits: [] }

  it('is the start beside the last one possible, the tries, and how much better a plan could be', () => {
    const text = mount(DaySaid, { props: base }).text()
    expect(text).toContain('For Dinner you begin at 16:00; nobody could begin later than 16:10.')
    expect(text).toContain('late in 3, and no liquid was cold')
    expect(text).toContain('No plan can be more than')
    expect(text).not.toContain('proven')
    expect(mount(DaySaid, { props: { ...base, planned: { ...base.planned, proven: true } } }).text()).toContain('that is proven')
  })

  it('lets the search end with what it has', async () => {
    expect(mount(DaySaid, { props: { ...base, stopped: true } }).text()).toContain('The planner stopped on this device')
    const said = mount(DaySaid, { props: { ...base, seeking: true } })
    expect(said.text()).toContain('A better plan is being sought.')
    await button(said, 'That will do').trigger('click')
    expect(said.emitted('enough')).toHaveLength(1)
    expect(mount(DaySaid, { props: base }).text()).not.toContain('That will do')
  })

  it('is a sentence for each trouble, each delay and each thing that would help', async () => {
    const said = mount(DaySaid, { props: { ...base, planned: null, troubles: [{ code: 'no-fire' as const, about: 'day-1' }, { code: 'meal-in-past' as const, about: 'm1' }] } })
    expect(said.text()).toContain('There is no fire. The day is kept')
    expect(said.text()).toContain('The time of Dinner has passed')
    const late = mount(DaySaid, { props: { ...base, meals: [{ ...base.meals[0]!, lateMin: 35 }], offers: { now: { lateMin: 35, spanMin: 200 }, offers: [{ kind: 'fire' as const, lateMin: 0, spanMin: 180 }, { kind: 'heavy' as const, lateMin: 20, spanMin: 200 }], done: true } } })
    expect(late.text()).toContain('35 min later is the least')
    expect(late.text()).toContain('One more fire: everything is on the table in time.')
    expect(late.text()).toContain('the delay falls to 20 min')
    await button(late, 'What would help').trigger('click')
    expect(late.emitted('help')).toHaveLength(1)
  })
})

describe('a day that cannot be done', () => {
  const said = (clash: readonly Clash[] | null): string => mount(DaySaid, { props: { planned: null, meals: [], tries: null, troubles: [], names: new Map([['d1', 'Evening halwa']]), seeking: false, cannot: true, clash, offers: null, chillable: [], waits: [] } }).text()

  it('says what cannot be had together, and that one of it is enough to give up', () => {
    expect(said([{ kind: 'vessel', about: 'heavy' }, { kind: 'away', about: 'sleep' }, { kind: 'wish', about: 'd1.pour' }]))
      .toContain('These cannot be had together: how many of these there are: heavy pan; the hours of sleep; the time that was wished for pour of Evening halwa. The day is kept; give one of them up.')
    expect(said([{ kind: 'fires', about: 'day-1' }])).toContain('What stands against this day: how many fires there are.')
    expect(said(null)).toContain('cannot all be done with what is there')
  })

  it('lets a wish go that stands in the way, once for each step', async () => {
    const drawn = mount(DaySaid, { props: { planned: null, meals: [], tries: null, troubles: [], names: new Map([['d1', 'Evening halwa']]), seeking: false, cannot: true, clash: [{ kind: 'wish', about: 'd1.pour' }, { kind: 'wish', about: 'd1.pour' }, { kind: 'hands', about: 'x' }], offers: null, chillable: [], waits: [] } })
    await button(drawn, 'Let go of the time for pour of Evening halwa').trigger('click')
    expect(drawn.emitted('unwish')).toEqual([['d1.pour']])
  })

  it('keeps a dish cold that perishes and stands in the way, or all of them where that helps', async () => {
    const props = { planned: null, meals: [], tries: null, troubles: [], names: new Map([['d1', 'Carrot']]), seeking: false, cannot: true, offers: null, chillable: ['d1'], waits: [] }
    const drawn = mount(DaySaid, { props: { ...props, clash: [{ kind: 'keeping', about: 'd1' }, { kind: 'away', about: 'out' }] }, global })
    expect(drawn.text()).toContain('how long Carrot may stand out of the cold: it perishes')
    await button(drawn, 'Make Carrot sooner, into the cold').trigger('click')
    expect(drawn.emitted('chill')).toEqual([[['d1']]])
    const late = mount(DaySaid, { props: { ...props, cannot: false, clash: null, offers: { now: { lateMin: 50, spanMin: 90 }, offers: [{ kind: 'chilled', lateMin: 0, spanMin: 90 }], done: true } }, global })
    expect(late.text()).toContain('everything is on the table in time')
    await button(late, 'Plan it so').trigger('click')
    expect(late.emitted('chill')).toEqual([[['d1']]])
  })
})

describe('a step that is looked at', () => {
  it('is held, moved, let go, and kept out of a time', async () => {
    const props = { step: 'd1.roast', name: 'roast', dish: 'Semolina d1', from: 2460, to: 2475, slack: 3, spans: [10, 12, 16] as [number, number, number], pinned: false, forbidden: [], begun: false }
    const panel = mount(StepPanel, { props, global })
    expect(panel.text()).toContain('17:00–17:15: likely 12 min, 10 to 16. Tight: 3 min to spare.')
    await button(panel, 'Hold it here').trigger('click')
    await panel.find('.time input').setValue('17:30')
    await button(panel, 'Not at this time').trigger('click')
    expect(panel.emitted('pin')).toEqual([[2460], [1440 + 1050]])
    expect(panel.emitted('forbid')).toEqual([[{ from: 2460, to: 2475 }]])
    const held = mount(StepPanel, { props: { ...props, pinned: true, forbidden: [{ from: 2460, to: 2475 }] } })
    await button(held, 'Let it go').trigger('click')
    await button(held, 'Any time again').trigger('click')
    expect(held.emitted('pin')).toEqual([[null]])
    expect(held.emitted('forbid')).toEqual([[null]])
  })
})

describe('now and next', () => {
  const first = Object.entries(starts).sort((a, b) => a[1] - b[1])[0]![0]
  const props = (doings: { step: string, begun: number, ended: number | null }[], now: number) =>
    ({ spread, today: todayOf(padded, day, starts, doings, [], now), now, names, cooks: new Map<string, string>(), savesMin: 0 })

  it('tells each pair of hands what to begin and when, and marks it', async () => {
    const panel = mount(DayNow, { props: props([], starts[first]! - 4), global })
    expect(panel.text()).toContain('You')
    expect(panel.text()).toContain('in 4 min')
    await button(panel, 'Begun').trigger('click')
    expect(panel.emitted('begin')![0]).toEqual([first])
  })

  it('marks what is done and takes it back', async () => {
    const going = mount(DayNow, { props: props([{ step: first, begun: starts[first]!, ended: null }], starts[first]! + 2), global })
    await button(going, 'Done').trigger('click')
    expect(going.emitted('end')![0]).toEqual([first])
    const done = mount(DayNow, { props: props([{ step: first, begun: starts[first]!, ended: starts[first]! + 9 }], starts[first]! + 10), global })
    await button(done, 'Take back').trigger('click')
    expect(done.emitted('back')![0]).toEqual([first])
  })

  it('says what is promised, when it is ready, and lets it be given', async () => {
    const panel = mount(DayNow, { props: props([], starts[first]! - 4), global })
    expect(panel.text()).toContain('Aunt Meru, 18:00')
    expect(panel.text()).toMatch(/12 balls: ready only about 18:[3-5]\d/)
    await button(panel, 'Given').trigger('click')
    expect(panel.emitted('given')).toEqual([['p1']])
  })

  it('offers another order only where it is worth it', async () => {
    expect(mount(DayNow, { props: props([], starts[first]!), global }).text()).not.toContain('Another order')
    const panel = mount(DayNow, { props: { ...props([], starts[first]!), savesMin: 25 }, global })
    expect(panel.text()).toContain('25 min less late')
    await button(panel, 'Take that order').trigger('click')
    expect(panel.emitted('other')).toHaveLength(1)
  })

  it('says what a delay breaks', () => {
    const late = mount(DayNow, { props: props([{ step: first, begun: starts[first]!, ended: null }], 1440 + 19 * 60), global })
    expect(late.text()).toContain('late as things stand')
  })
})

describe('what a day is made of', () => {
  it('puts dishes on, alters and drops them, and moves meals', async () => {
    const panel = mount(DayDishes, { props: { spread, book: STARTER_DISHES, grams: (g: number) => `${g} g`, cup: null, busy: false }, global })
    await button(panel, '½').trigger('click')
    await button(panel, 'Take off').trigger('click')
    await panel.find('.time input').setValue('20:15')
    await button(panel, 'One more meal').trigger('click')
    expect(panel.emitted('alter')).toEqual([['d1', { baseG: 90 }]])
    expect(panel.emitted('drop')).toEqual([['d1']])
    expect(panel.emitted('meal')).toEqual([['m1', { at: 1440 + 1215 }]])
    expect(panel.emitted('moreMeals')).toHaveLength(1)
  })

  it('says who is there and when all sleep', async () => {
    const panel = mount(DayHands, { props: { spread }, global })
    await button(panel, 'Away 09:00–10:00').trigger('click')
    await button(panel, 'One more pair').trigger('click')
    await button(panel, 'Take off').trigger('click')
    const [away, more, fewer] = panel.emitted('hands') as [typeof spread.hands][]
    expect(away![0][0]!.away).toEqual([{ from: 1440 + 540, to: 1440 + 600, why: 'away' }])
    expect(more![0]).toHaveLength(3)
    expect(fewer![0].map(hand => hand.id)).toEqual(['h2'])
  })

  it('borrows fires and vessels for this day alone', async () => {
    const panel = mount(DayKitchen, { props: { spread }, global })
    await button(panel, 'Not there').trigger('click')
    await button(panel, 'One more fire').trigger('click')
    await button(panel, 'Borrow it').trigger('click')
    await panel.find('input[type="number"]').setValue('400')
    expect((panel.emitted('fires')![0] as [typeof spread.fires])[0].map(fire => fire.id)).toEqual(['f2'])
    expect((panel.emitted('fires')![1] as [typeof spread.fires])[0]).toHaveLength(3)
    expect((panel.emitted('vessels')![0] as [typeof spread.vessels])[0].at(-1)).toMatchObject({ kind: 'heavyL', name: 'Borrowed large heavy pan' })
    expect(panel.emitted('wash')).toEqual([[120]])
  })

  it('keeps what was promised, and what was given', async () => {
    const panel = mount(DayPromises, { props: { spread }, global })
    expect(panel.text()).toContain('18:00 Aunt Meru: 12 balls, Semolina d1')
    await button(panel, 'Give it').trigger('click')
    expect((panel.emitted('promises')![0] as [typeof spread.promises])[0][0]!.given).toBe(true)
    await panel.findAll('input')[0]!.setValue('Next door')
    await panel.find('form').trigger('submit')
    await vi.waitFor(() => expect((panel.emitted('promises')?.[1] as [typeof spread.promises] | undefined)?.[0]).toHaveLength(2))
  })
})
