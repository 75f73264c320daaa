import { flushPromises, mount } from '@vue/test-utils'
import { computed, type Component } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { besideNow } from '../../../core/cook/guidance/besideNow'
import { mainLine } from '../../../core/formulation/dish/mainLine'
import { forecastCook } from '../../../core/process/forecast/forecastCook'
import type { Observation } from '../../../core/record/marks/observation'
import type { CookPlan } from '../../../core/record/plan/plan'
import { replay } from '../../../core/record/replay/replay'
import { sweetenedAhead } from '../../../core/cook/guidance/sweetenedAhead'
import { syrupNow } from '../../../core/cook/guidance/syrupNow'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import type { FireState } from '../../composables/fireState'
import DoubtSlab from './DoubtSlab.vue'
import OtherVessels from './OtherVessels.vue'
import PourPart from './PourPart.vue'
import RepairPanel from './RepairPanel.vue'
import StepList from './StepList.vue'
import SyrupSlab from './SyrupSlab.vue'
import TakeUpLate from './TakeUpLate.vue'
import { choose } from '../../../test/support/hands'
import type { MarkOf } from '../../../core/record/marks/kinds'

const plan = examplePlan()
const roast = [marked(1, 0, 'cook.started'), marked(2, 240, 'stage.began', { stage: 'roast' })]

/** As much of the fire's state as a panel reads. */
function fireOf(
  of: CookPlan,
  marks: readonly Observation[],
  nowS: number,
  more: Partial<Record<keyof FireState, unknown>> = {},
): FireState {
  const cook = replay(of, marks)
  const forecast = forecastCook(of, marks, nowS, 40)
  const line = mainLine(of.dish)
  const state = {
    cook,
    forecast,
    nowS,
    line,
    main: line[0]!.vessel,
    stage: line[cook.stage] ?? null,
    beside: besideNow(of, cook, forecast, nowS),
    syrup: syrupNow(of, cook, forecast),
    thinning: sweetenedAhead(forecast, cook.stage),
    surprise: null,
    ...more,
  }
  return Object.fromEntries(
    Object.entries(state).map(([name, value]) => [name, computed(() => value)]),
  ) as unknown as FireState
}
const show = (panel: Component, fire: FireState, of: CookPlan = plan, more: Record<string, unknown> = {}) =>
  mount(panel, { props: { fire, plan: of, ...more } })
const press = (drawn: ReturnType<typeof show>, text: string) =>
  drawn
    .findAll('button')
    .find(one => one.text() === text)!
    .trigger('click')

describe('the vessels beside the pan', () => {
  it('say when to light each, what is in it, and mark it', async () => {
    const drawn = show(OtherVessels, fireOf(plan, roast, 245))
    expect(drawn.text()).toContain('Other vessel: sweet water')
    expect(drawn.text()).toMatch(/on the fire (in|now)/)
    await vi.dynamicImportSettled()
    await flushPromises()
    expect(drawn.text()).toMatch(/water · .* g, .* sugar · .* g\./)
    await press(drawn, 'It is on')
    expect(drawn.emitted('mark')).toEqual([[{ kind: 'vessel.lit', payload: { vessel: 'pot' } }]])
  })

  it('say that it boils, waits too early, or comes too late', async () => {
    const lit = [...roast, marked(3, 250, 'vessel.lit', { vessel: 'pot' })]
    const heating = show(OtherVessels, fireOf(plan, lit, 300))
    expect(heating.text()).toMatch(/boils \d/)
    await press(heating, 'It boils')
    expect(heating.emitted('mark')).toEqual([[{ kind: 'sign.seen', payload: { sign: 'boil', vessel: 'pot' } }]])
    const late = [
      ...roast,
      marked(3, 500, 'sign.seen', { sign: 'aroma' }),
      marked(4, 640, 'looks.like', { step: 'pale' }),
    ]
    expect(show(OtherVessels, fireOf(plan, late, 650)).text()).toContain('It comes after the pan is right')
  })

  it('puts what presses first and leaves out what is far off', () => {
    const two = starterPlan('two-liquids-wheat')
    const vessels = (nowS: number, marks: readonly Observation[]) =>
      show(OtherVessels, fireOf(two, marks, nowS), two)
        .findAll('[data-vessel]')
        .map(one => one.attributes('data-vessel'))
    expect(vessels(10, [marked(1, 0, 'cook.started')])[0]).toBe('pot')
    expect(vessels(10, [marked(1, 0, 'cook.started')])).not.toContain('small-pan')
    const line = mainLine(two.dish)
    const milk = line.findIndex(stage => stage.id === 'milk')
    expect(
      vessels(300 * milk, [
        marked(1, 0, 'cook.started'),
        ...line.slice(1, milk).map((stage, i) => marked(i + 2, 300 * (i + 1), 'stage.began', { stage: stage.id })),
      ])[0],
    ).toBe('second-pot')
  })
})

describe('the syrup', () => {
  it('is shown by thermometer, scale and time, and by how far it was read', () => {
    const cashew = starterPlan('diamond-cashew')
    const sugar = cashew.amounts.find(one => one.id === 'sugar')!.massG
    const weighed = [
      marked(1, 0, 'cook.started'),
      marked(2, 100, 'weighed', { vessel: 'pan', grossG: cashew.vessels.pan!.vessel.massG + sugar / 0.7 }),
    ]
    const drawn = show(SyrupSlab, fireOf(cashew, weighed, 120), cashew)
    expect(drawn.text()).toMatch(/Thermometer11\d °C.*On the scale.*g.*By time/)
    expect(drawn.get('.read').text()).toMatch(/70 % sugar by the scale: \d+ g still to boil off/)
    expect(drawn.get('.grain').text()).toMatch(/returns to grain easily: .*wash.*do not stir.*lemon/)
    expect(show(SyrupSlab, fireOf(plan, roast, 300)).find('section').exists()).toBe(false)
  })
})

describe('a doubt', () => {
  it('asks plainly, and takes each answer', async () => {
    const surprise = { mark: 'tablet-9', sign: 'aroma', faster: true, times: 3.2, flame: 'm5', thought: 'm2' }
    const drawn = show(DoubtSlab, fireOf(plan, roast, 300, { surprise }))
    expect(drawn.text()).toContain('Nutty smell came much sooner (3 times) than flame')
    for (const button of drawn.findAll('button')) await button.trigger('click')
    expect(drawn.emitted('mark')).toEqual([
      [{ kind: 'flame.changed', payload: { vessel: 'pan', mark: 'm5', agoS: 59 } }],
      [{ kind: 'withdrawn', payload: { replaces: 'tablet-9' } }],
      [{ kind: 'checked', payload: { what: 'flame' } }],
    ])
    expect(show(DoubtSlab, fireOf(plan, roast, 300)).find('section').exists()).toBe(false)
  })
})

describe('liquid that was kept back', () => {
  const poured = [
    ...roast,
    marked(3, 640, 'stage.began', { stage: 'pour' }),
    marked(4, 660, 'uptake.seen', { pace: 'no-more' }),
  ]

  it('is asked for once it is no longer taken up, and can go in later', async () => {
    const asks = show(PourPart, fireOf(plan, poured, 670))
    await press(asks, 'a quarter')
    expect(asks.emitted('mark')).toEqual([[{ kind: 'kept.back', payload: { vessel: 'pot', share: 0.25 } }]])
    const kept = show(
      PourPart,
      fireOf(plan, [...poured, marked(5, 672, 'kept.back', { vessel: 'pot', share: 0.25 })], 680),
    )
    expect(kept.text()).toMatch(/\d+ g of sweet water kept back/)
    await press(kept, 'The rest is in')
    expect(kept.emitted('mark')).toEqual([[{ kind: 'rest.poured', payload: { vessel: 'pot' } }]])
  })
})

describe('a cook that is already under way', () => {
  it('is taken up at its stage, with what went before as the plan forecast', async () => {
    const drawn = show(TakeUpLate, fireOf(plan, [], 0))
    await press(drawn, 'Already under way?')
    await choose(drawn, 'Base in')
    await drawn.get('[aria-label="One minute more"]').trigger('click')
    expect(drawn.text()).toContain('6 min ago')
    await press(drawn, 'Take it up from there')
    const [started, began] = drawn.emitted('mark') as [MarkOf<'cook.started'>][]
    expect(began).toEqual([{ kind: 'stage.began', payload: { stage: 'roast', agoS: 360 } }])
    expect(started![0].payload.agoS).toBeGreaterThan(400)
  })
})

describe('steps away from the fire', () => {
  it('are ticked before it and after it, with how long they take', async () => {
    const mung = starterPlan('long-spoon-mung')
    const before = show(StepList, fireOf(mung, [], 0), mung, { cook: replay(mung, []), phase: 'before' })
    expect(before.text()).toMatch(/Soak.*about 4 h/)
    expect(before.text()).toContain('Hot food builds pressure')
    await before.findAll('button')[0]!.trigger('click')
    expect(before.emitted('mark')).toEqual([[{ kind: 'step.done', payload: { stage: 'soak' } }]])
    const slab = starterPlan('diamond-cashew')
    const after = show(StepList, fireOf(slab, [], 0), slab, {
      cook: replay(slab, [
        marked(1, 0, 'cook.started'),
        marked(2, 1200, 'cook.finished'),
        marked(3, 1230, 'step.done', { stage: 'spread' }),
      ]),
      phase: 'after',
    })
    expect(after.findAll('li').map(one => one.classes('done'))).toEqual([true, false])
    expect(after.text()).toMatch(/until about \d+/)
  })
})

describe('something is wrong', () => {
  const down = [
    ...roast,
    marked(3, 640, 'stage.began', { stage: 'pour' }),
    marked(4, 700, 'stage.began', { stage: 'take-up' }),
  ]

  it('offers what can go wrong with this dish, and shows amounts, time, causes and what is expected', async () => {
    const drawn = show(RepairPanel, fireOf(plan, down, 760))
    await vi.dynamicImportSettled()
    await flushPromises()
    expect(drawn.text()).not.toContain('slab')
    await press(drawn, 'runny, will not tighten')
    expect(drawn.text()).toContain('Expected here, not a fault yet.')
    expect(drawn.text()).toMatch(/\d+ g water off/)
    expect(drawn.text()).toMatch(/pan on the scale \d/)
    // What this cook's own record speaks against is no likely cause.
    expect(drawn.text()).not.toContain('this cook says otherwise')
  })

  it('marks the repair that is applied as part of the batch, and offers none to apply for a burnt roast', async () => {
    const drawn = show(RepairPanel, fireOf(plan, down, 760))
    await press(drawn, 'not sweet enough')
    await drawn.get('[data-way="add-sugar"]').trigger('click')
    const [{ kind, payload }] = drawn.emitted('mark')![0] as [MarkOf<'repaired'>]
    expect([kind, payload.way, payload.adds?.[0]?.ingredient]).toEqual(['repaired', 'add-sugar', 'sugar'])
    expect(replay(plan, [...down, marked(9, 770, kind, payload)]).changes).toHaveLength(1)
    const burnt = show(RepairPanel, fireOf(plan, down, 760))
    await press(burnt, 'burnt note, flecks')
    expect(burnt.text()).toContain('A burnt note cannot be taken out')
    expect(burnt.find('[data-way="start-again"]').exists()).toBe(false)
  })

  it('opens with the fault that was named by what was perceived', async () => {
    const drawn = show(RepairPanel, fireOf(plan, down, 760), plan, { first: 'hard-grain' })
    await vi.dynamicImportSettled()
    await flushPromises()
    expect(drawn.get('h2').text()).toBe('hard grain')
    expect(drawn.find('[data-way="swell-on"]').exists()).toBe(true)
  })

  it('has nothing to say before the fire is lit', async () => {
    const drawn = show(RepairPanel, fireOf(plan, [], 0))
    await press(drawn, 'lumpy')
    expect(drawn.text()).toContain('Light the fire first')
  })
})
