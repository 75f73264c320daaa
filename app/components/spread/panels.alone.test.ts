import { flushPromises, mount } from '@vue/test-utils'
import { ElCheckbox } from 'element-plus'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { STARTER_DISHES } from '../../../book/dishes'
import { dayOf } from '../../../core/day/spread/dayOf'
import { DaySolver } from '../../../core/day/planning/solveDay'
import type { Spread } from '../../../core/day/spread/spread'
import { withChoices } from '../../../test/support/choiceStub'
import { exampleSpread } from '../../../test/support/spreads'
import { ask } from '../../clients/api'
import { momentOf } from '../../composables/spreadClock'
import DayDishes from './DayDishes.vue'
import DayHands from './DayHands.vue'
import DayKitchen from './DayKitchen.vue'
import DayLegend from './DayLegend.vue'
import DayPanels, { type DayTab } from './DayPanels.vue'
import DayPromises from './DayPromises.vue'
import { useNextDays } from '../../composables/nextDay'
import NextDay from './NextDay.vue'

vi.mock('../../clients/api', async importActual => ({ ...await importActual<object>(), ask: vi.fn() }))

const global = {
  ...withChoices,
  stubs: { ...withChoices.stubs, NuxtLink: { props: ['to'], template: '<a :href="to"><slot /></a>' } },
}
const day = dayOf(exampleSpread(), 2000)
const solver = new DaySolver(day)
for (let i = 0; i < 40 && !solver.done; i++) solver.step(() => false)
const { starts } = solver.plan!
const plan = { starts: { ...starts }, late: {}, cost: 1, bound: 1, proven: true, room: 1, latest: {}, tries: null }

describe('what stands open beside a day', () => {
  const panels = (tab: DayTab, spread: Spread = exampleSpread()) =>
    mount(DayPanels, {
      props: {
        tab,
        spread,
        book: STARTER_DISHES,
        grams: (g: number) => `${g} g`,
        cup: null,
        busy: false,
        list: [],
        nameOf: (id: string) => id,
      },
      global,
    })
  /** The day after all changes a panel asked for, and whether its plan still holds. */
  const changed = (
    panel: ReturnType<typeof panels>,
    spread: Spread = exampleSpread(),
  ): { spread: Spread, how: unknown } => {
    const asked = panel.emitted('change') as [next: (was: Spread) => Spread, how?: string][]
    return { spread: asked.reduce((was, [next]) => next(was), spread), how: asked.at(-1)![1] }
  }

  it('is one panel, each with its heading', () => {
    expect(panels('dishes').text()).toContain('Meals')
    expect(panels('hands').findComponent(DayHands).exists()).toBe(true)
    expect(panels('kitchen').findComponent(DayKitchen).exists()).toBe(true)
    expect(panels('promises').text()).toContain('Promised')
    expect(panels('buy').text()).toContain('To buy for this day')
  })

  it('takes a dish off with all that was wished for it and shared with it', () => {
    const spread = exampleSpread({
      wishes: [
        { kind: 'pin', step: 'd1.roast', start: 2500 },
        { kind: 'pin', step: 'd2.roast', start: 2510 },
      ],
      shared: [{ step: 'nuts', from: 'd1', for: 'd2' }],
    })
    const panel = panels('dishes', spread)
    panel.findComponent(DayDishes).vm.$emit('drop', 'd1')
    const after = changed(panel, spread).spread
    expect(after.dishes.map(dish => dish.id)).toEqual(['d2'])
    expect(after.wishes).toEqual([{ kind: 'pin', step: 'd2.roast', start: 2510 }])
    expect(after.shared).toEqual([])
  })

  it('renames and moves a meal, adds one a day later, and takes one off', () => {
    const panel = panels('dishes')
    const { vm } = panel.findComponent(DayDishes)
    vm.$emit('meal', 'm1', { name: '  Supper ' })
    vm.$emit('meal', 'm1', { at: 2400 })
    vm.$emit('meal', 'm1', { name: '   ' })
    vm.$emit('moreMeals')
    vm.$emit('moreMeals')
    vm.$emit('dropMeal', 'm3')
    expect(changed(panel).spread.meals).toEqual([
      { id: 'm1', name: 'Supper', at: 2400 },
      { id: 'm2', name: 'Another meal', at: 3840 },
    ])
  })

  it('makes something once for two dishes, and twice again', () => {
    const panel = panels('dishes')
    const what = { kind: 'ground', steps: ['wash', 'grind'], from: 'd1', for: 'd2' }
    panel.findComponent(DayDishes).vm.$emit('share', what, true)
    expect(changed(panel).spread.shared).toEqual([
      { step: 'wash', from: 'd1', for: 'd2' },
      { step: 'grind', from: 'd1', for: 'd2' },
    ])
    panel.findComponent(DayDishes).vm.$emit('share', what, false)
    expect(changed(panel).spread.shared).toEqual([])
  })

  it('offers to make thickened milk of the dishes that take it, with its milk', async () => {
    const carrot = STARTER_DISHES.find(one => one.id === 'winter-market-carrot')!
    const spread = exampleSpread()
    const panel = panels('dishes', {
      ...spread,
      dishes: [{ ...spread.dishes[0]!, card: carrot, baseG: 1000 }, spread.dishes[1]!],
    })
    const boxes = panel
      .findAllComponents(ElCheckbox)
      .filter(box => String(box.props('label')).startsWith('Its thickened milk'))
    expect(boxes.map(box => box.props('label'))).toEqual([
      'Its thickened milk is made here: 120 g from 600 g of milk, up to two days before',
    ])
    boxes[0]!.vm.$emit('update:modelValue', true)
    expect(panel.emitted('alter')!.at(-1)).toEqual(['d1', { thickens: true }])
  })

  it('hands on what is put on the day and altered', () => {
    const panel = panels('dishes')
    panel.findComponent(DayDishes).vm.$emit('add', STARTER_DISHES[0], 'm1')
    panel.findComponent(DayDishes).vm.$emit('alter', 'd1', { serve: 'warm' })
    expect(panel.emitted('add')).toEqual([[STARTER_DISHES[0], 'm1']])
    expect(panel.emitted('alter')).toEqual([['d1', { serve: 'warm' }]])
  })

  it('changes hands, nights, fires, vessels and washing, which ask for a new plan; promises do not', () => {
    const hands = panels('hands')
    hands.findComponent(DayHands).vm.$emit('hands', [])
    hands.findComponent(DayHands).vm.$emit('nights', null)
    expect(changed(hands)).toMatchObject({ spread: { hands: [], nights: null }, how: undefined })
    const kitchen = panels('kitchen')
    kitchen.findComponent(DayKitchen).vm.$emit('fires', [{ id: 'f9', name: 'Camp fire' }])
    kitchen.findComponent(DayKitchen).vm.$emit('vessels', [])
    kitchen.findComponent(DayKitchen).vm.$emit('wash', 9)
    expect(changed(kitchen).spread).toMatchObject({ fires: [{ id: 'f9' }], vessels: [], washMin: 9 })
    const promises = panels('promises')
    promises.findComponent(DayPromises).vm.$emit('promises', [])
    expect(changed(promises)).toMatchObject({ spread: { promises: [] }, how: 'kept' })
  })
})

describe('the legend of a day', () => {
  it('explains only what is drawn', () => {
    const text = (props: { pours: boolean, tight: boolean, pinned: boolean }): string =>
      mount(DayLegend, { props }).text()
    expect(text({ pours: false, tight: false, pinned: false })).toBe('pale bar: half a hand, now and then')
    expect(text({ pours: true, tight: true, pinned: true })).toMatch(
      /hot pour.*under five minutes to spare.*held at its time/,
    )
  })
})

describe('the day that comes next', () => {
  const hearth = vi.mocked(ask)
  afterEach(() => hearth.mockReset())
  const at = (minute: number): number => momentOf('2026-11-28', minute)
  const first = Object.entries(starts).sort((a, b) => a[1] - b[1])[0]!
  async function shown(spreads: readonly Spread[], now: number) {
    hearth.mockImplementation((_, path, schema) =>
      Promise.resolve(
        schema!.parse(
          path === '/spreads'
            ? {
                spreads: spreads.map(one => ({
                  id: one.id,
                  name: one.name,
                  eve: one.eve,
                  revision: 1,
                  dishes: one.dishes.length,
                  changedAt: 1,
                })),
              }
            : spreads.find(one => path === `/spreads/${one.id}`),
        ),
      ),
    )
    const { days, read } = useNextDays(() => now)
    await read
    const panel = mount(NextDay, { props: { days: days.value, now }, global })
    await flushPromises()
    await nextTick()
    return panel
  }

  it('says what is to be done next and when', async () => {
    const panel = await shown([exampleSpread({ plan })], at(first[1] - 20))
    expect(panel.text()).toContain('Sunday')
    expect(panel.text()).toContain('Semolina d')
    expect(panel.text()).toContain('in 20 min, at')
    expect(panel.find('a').attributes('href')).toBe('/spread/day-1')
    await panel.setProps({ now: at(first[1] + 3) })
    expect(panel.text()).toMatch(/ now$|now ?The day/)
    await panel.setProps({ now: at(first[1] - 600) })
    expect(panel.text()).toMatch(/today at|tomorrow at/)
  })

  it('says what is going on', async () => {
    const panel = await shown(
      [exampleSpread({ plan, doings: [{ step: first[0], begun: first[1], ended: null }] })],
      at(first[1] + 2),
    )
    expect(panel.text()).toContain('going on now')
  })

  it('takes the soonest day that has something left, and shows nothing where none has', async () => {
    const over = exampleSpread({ id: 'day-0', name: 'Friday', eve: '2026-11-26', plan })
    const panel = await shown([exampleSpread({ plan }), over], at(100))
    expect(panel.text()).toContain('Sunday')
    expect(panel.text()).not.toContain('Friday')
    expect((await shown([exampleSpread()], at(100))).text()).toBe('')
    expect((await shown([], at(100))).text()).toBe('')
  })

  it('looks at a day until four days after its eve has begun', async () => {
    const long = exampleSpread({ plan, meals: [{ id: 'm1', name: 'The last meal', at: 4 * 1440 + 60 }] })
    expect((await shown([long], at(4 * 1440 - 1))).text()).toContain('Sunday')
    expect((await shown([long], at(4 * 1440))).text()).toBe('')
  })

  it('keeps quiet where the hearth cannot be reached', async () => {
    hearth.mockRejectedValue(new Error('away'))
    const { days, read } = useNextDays(() => at(100))
    await read
    const panel = mount(NextDay, { props: { days: days.value, now: at(100) }, global })
    await flushPromises()
    expect(panel.text()).toBe('')
  })
})
